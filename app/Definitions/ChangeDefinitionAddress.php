<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Catalog\Discount;
use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Definition;
use App\Models\FilterChange;
use App\Models\Lineup;
use App\Models\Room;
use App\Support\Refused;
use Lokum\Lineup\AddressWords;
use Lokum\Text\Slug;

/** Gives a definition another word in addresses, typed conditions and commands. The one it had leads on for good. */
final readonly class ChangeDefinitionAddress
{
    private const LONGEST = 100;

    public function __construct(private Ledger $ledger)
    {
    }

    /** @throws Refused when the word is another's, or means something by itself */
    public function __invoke(Definition $definition, string $address): ?Change
    {
        ManagersOnly::allow($definition->id);
        $slug = Slug::of($address);
        if (trim($address) === '' || mb_strlen($slug) > self::LONGEST) {
            throw new Refused('An address has 1 to '.self::LONGEST.' letters and digits.', 'address');
        }
        if ($slug === $definition->slug) {
            return null;
        }
        if ($definition->slug === Definition::BRAND || in_array($definition->slug, Discount::LIST_PRICES, true)) {
            throw new Refused("Lokum knows {$definition->label} by \"{$definition->slug}\", so it keeps this word.", 'address');
        }
        $other = Definition::called($slug);
        if ($other !== null && ! $other->is($definition)) {
            throw new Refused("\"{$slug}\" leads to {$other->label}, or led there once.", 'address');
        }
        if (AddressWords::has($slug)) {
            throw new Refused("\"{$slug}\" says something else in addresses. Choose another word.", 'address');
        }

        return $this->ledger->record(Room::Definitions, function (Journal $journal) use ($definition, $slug): string {
            $journal->update(Definition::class, $definition->id, [
                'slug' => $slug,
                'former_slugs' => json_encode(
                    array_values(array_diff([...$definition->former_slugs, $definition->slug], [$slug])),
                    JSON_THROW_ON_ERROR,
                ),
            ]);
            $this->lineUps($journal, $definition->slug, $slug);

            return "{$definition->label} goes by \"{$slug}\" in addresses, \"{$definition->slug}\" leads there";
        });
    }

    /** Line-ups name filters and what they sort by so. */
    private function lineUps(Journal $journal, string $old, string $new): void
    {
        $now = fn (mixed $word): mixed => $word === $old ? $new : $word;
        foreach (FilterChange::query()->where('key', $old)->get() as $change) {
            $journal->update(FilterChange::class, $change->id, ['key' => $new]);
        }
        foreach (Lineup::query()->whereNotNull('settings')->get() as $lineup) {
            $settings = $lineup->settings ?? [];
            if (isset($settings['order'])) {
                $settings['order'] = array_map($now, (array) $settings['order']);
            }
            foreach ((array) ($settings['sorts'] ?? []) as $i => $sort) {
                $settings['sorts'][$i]['by'] = array_map(
                    fn (array $step): array => [$now($step[0]), $step[1]],
                    $sort['by'],
                );
            }
            if ($settings !== ($lineup->settings ?? [])) {
                $journal->update(Lineup::class, $lineup->id, ['settings' => json_encode($settings, JSON_THROW_ON_ERROR)]);
            }
        }
    }
}
