<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Definition;
use App\Models\FormerAddress;
use App\Models\Room;
use App\Models\Value;
use App\Support\Refused;
use App\Values\TermNames;
use Lokum\Text\Slug;
use Lokum\Vocabulary\Kind;

/** Gives a value another word in addresses. The one it had leads on, from the next edition on and for good. */
final readonly class ChangeAddress
{
    private const LONGEST = 200;

    public function __construct(private Ledger $ledger)
    {
    }

    /** @throws Refused when the word is another's */
    public function __invoke(Definition $definition, Value $value, string $address): ?Change
    {
        ManagersOnly::allow($definition->id);
        if ($definition->kind !== Kind::Choice) {
            throw new Refused('Yes and no go by these words for good.', 'address');
        }
        $slug = Slug::of($address);
        if (trim($address) === '' || mb_strlen($slug) > self::LONGEST) {
            throw new Refused('An address has 1 to '.self::LONGEST.' letters and digits.', 'address');
        }
        if ($slug === $value->slug) {
            return null;
        }
        $own = FormerAddress::query()->where('value_id', $value->id)->where('slug', $slug)->exists();
        if (! $own && isset(TermNames::taken($definition)[$slug])) {
            throw new Refused("\"{$slug}\" leads to another value, or led there once.", 'address');
        }

        return $this->ledger->record(Room::Values, function (Journal $journal) use ($definition, $value, $slug): string {
            // Back to one that it had before.
            foreach (FormerAddress::query()->where('value_id', $value->id)->where('slug', $slug)->get() as $own) {
                $journal->delete(FormerAddress::class, $own->id);
            }
            $journal->insert(FormerAddress::class, [
                'definition_id' => $definition->id,
                'value_id' => $value->id,
                'slug' => $value->slug,
            ]);
            $journal->update(Value::class, $value->id, ['slug' => $slug]);

            return "{$value->label} goes by \"{$slug}\" in addresses, \"{$value->slug}\" leads there ({$definition->label})";
        });
    }
}
