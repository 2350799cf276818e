<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Import;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Import> */
final class ImportFactory extends Factory
{
    protected $model = Import::class;

    public function definition(): array
    {
        return ['file_name' => 'pass.csv', 'path' => 'uploads/pass.upload', 'bytes' => 100, 'flown_at' => now()];
    }
}
