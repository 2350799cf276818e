<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Spoken;
use Documents\Wire;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Words\Speaker;

/** What every resource shares: its facts are said to whoever asks. */
abstract class Resource extends JsonResource
{
    /**
     * @param  ?Request  $request
     * @return array<string, mixed>
     */
    public function resolve($request = null): array
    {
        /** @var array<string, mixed> $written */
        $written = Wire::write(parent::resolve($request), $this->speaker());

        return $written;
    }

    protected function speaker(): Speaker
    {
        return Spoken::to();
    }
}
