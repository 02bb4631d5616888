<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A definition may not go by the name of a field that every product has: its filter would take that field's place. */
return new class extends Migration
{
    private const RESERVED = ['added', 'discount', 'name', 'new'];

    public function up(): void
    {
        foreach (DB::table('definitions')->whereIn('slug', self::RESERVED)->pluck('slug', 'id') as $id => $slug) {
            for (
                $n = 2;
                DB::table('definitions')
                    ->where('slug', "{$slug}-{$n}")
                    ->exists();
                $n++
            );
            DB::table('definitions')
                ->where('id', $id)
                ->update(['slug' => "{$slug}-{$n}"]);
            if (DB::table('filters')->where('definition_id', $id)->exists()) {
                DB::table('filter_changes')
                    ->where('key', $slug)
                    ->update(['key' => "{$slug}-{$n}"]);
                $this->replace('lineups', 'settings', ["\"{$slug}\"" => "\"{$slug}-{$n}\""]);
            }
            $named = [
                "\"{$slug}:" => "\"{$slug}-{$n}:",
                "missing:{$slug}\"" => "missing:{$slug}-{$n}\"",
                "gap:{$slug}\"" => "gap:{$slug}-{$n}\"",
            ];
            $this->replace('fill_rules', 'scope', $named);
            $this->replace('views', 'query', $named);
            foreach (['field', 'from'] as $setting) {
                $this->replace('fill_rules', 'settings', ["\"{$setting}\":\"{$slug}\"" => "\"{$setting}\":\"{$slug}-{$n}\""]);
            }
        }
    }

    /** @param  array<string, string>  $texts */
    private function replace(string $table, string $column, array $texts): void
    {
        foreach (DB::table($table)->whereNotNull($column)->pluck($column, 'id') as $id => $json) {
            DB::table($table)
                ->where('id', $id)
                ->update([$column => strtr((string) $json, $texts)]);
        }
    }
};
