<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What the columns of an upload are. Whether that is enough is core's to say. */
final class ColumnsRequest extends FormRequest
{
    use CountsFirst;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'columns' => ['required', 'array', 'max:40'], 'columns.*' => ['array'], 'columns.*.column' => ['required', 'string', 'max:200'],
            'columns.*.unit' => ['sometimes', 'nullable', 'string', 'max:40'],
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        /** @var array<string, array{column: string, unit?: ?string}> $columns */
        $columns = $this->validated('columns');

        return array_map(
            static fn (array $column): array => array_filter($column, static fn (?string $value): bool => $value !== null && $value !== ''),
            $columns,
        );
    }

    protected function most(): array
    {
        return ['columns' => 40];
    }
}
