<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Support\Refused;
use Lokum\Lineup\SortOrder;
use Lokum\Text\Label;
use Lokum\Text\Slug;

/** Reads sort orders from a form: a name, one or two fields with their direction, active or not; in the order of the menu. */
final class SortForm
{
    private const MOST = 12;

    /**
     * @param  array<mixed>  $rows
     * @param  list<SortOrder>  $were  orders that the form showed: one that is renamed keeps its address, one that is replaced does not
     * @return list<array<string, mixed>>
     */
    public static function read(array $rows, array $were = []): array
    {
        $orders = [];
        $taken = [];
        foreach (array_slice(array_values($rows), 0, self::MOST) as $i => $row) {
            $row = (array) $row;
            $name = is_string($row['name'] ?? null) ? Label::of($row['name']) : '';
            $by = [];
            foreach ((array) ($row['by'] ?? []) as $step) {
                [$field, $down] = [...explode(' ', is_string($step) ? $step : '', 2), ''];
                if ($field !== '') {
                    $by[] = [$field, $down === 'down'];
                }
            }
            if ($name === '' && $by === []) {
                continue;
            }
            if ($name === '' || mb_strlen($name) > 60 || $by === []) {
                throw new Refused('Sort order '.($i + 1).' needs a name of 1 to 60 characters and a field.', 'sorts');
            }
            $slug = Slug::unique(
                self::kept($row['slug'] ?? null, $name, $by, $were) ?? $name,
                fn (string $slug): bool => in_array($slug, $taken, true),
            );
            $taken[] = $slug;
            $orders[] = [
                'slug' => $slug,
                'name' => $name,
                'by' => $by,
                'active' => (bool) ($row['active'] ?? false),
            ];
        }

        return $orders;
    }

    /**
     * @param  list<array{0: string, 1: bool}>  $by
     * @param  list<SortOrder>  $were
     */
    private static function kept(mixed $slug, string $name, array $by, array $were): ?string
    {
        foreach ($were as $order) {
            if ($order->slug === $slug && ($order->name === $name || $order->by === $by)) {
                return $order->slug;
            }
        }

        return null;
    }
}
