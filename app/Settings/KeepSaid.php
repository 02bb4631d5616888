<?php

declare(strict_types=1);

namespace App\Settings;

use App\History\Journal;
use App\Models\Setting;
use App\Support\Refused;

/** Keeps what is said of the shop, in its one row; what is empty is not kept. */
final class KeepSaid
{
    /**
     * @param  array<string, mixed>  $changes  by name
     * @param  int|null  $version  that the person started from, 0 where nothing was said yet; null: not compared
     * @return array{0: array<string, mixed>, 1: array<string, mixed>} what was said before, and what is
     *
     * @throws Refused when somebody else has changed it
     */
    public static function write(Journal $journal, array $changes, ?int $version): array
    {
        $row = Setting::query()->first();
        if ($version !== null && ($row->version ?? 0) !== $version) {
            throw Refused::changedMeanwhile('the settings');
        }
        $before = $row->said ?? [];
        $said = array_filter($changes + $before, fn (mixed $value): bool => $value !== null && $value !== '');
        $encoded = json_encode($said, JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR);
        $now = now()->toDateTimeString();
        if ($row === null) {
            $journal->insert(Setting::class, [
                'said' => $encoded,
                'version' => 1,
                'created_at' => $now,
                'updated_at' => $now,
            ]);
        } elseif ($said != $before) {
            $journal->update(Setting::class, $row->id, ['said' => $encoded]);
        }

        return [$before, $said];
    }
}
