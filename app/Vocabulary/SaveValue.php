<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\History\Journal;
use App\History\Ledger;
use App\Models\Change;
use App\Models\Room;
use App\Models\Value;
use App\Support\Refused;
use App\Values\CreateValue;
use App\Values\FindValue;
use App\Values\TermNames;
use Lokum\Text\Label;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\Showing;

/** Renames a value and dresses it. Its address stays, so that links to it go on working. */
final readonly class SaveValue
{
    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * @param  int  $version  that the person started from
     * @param  ValuePage|null  $page  what its page says; null: as it is
     *
     * @throws Refused when another value has these letters, or someone else saved it meanwhile
     */
    public function __invoke(Value $value, string $label, Look $look, Showing $shown, int $version, ?ValuePage $page = null): ?Change
    {
        $label = Label::of($label);
        if ($label === '' || mb_strlen($label) > 500) {
            throw new Refused('A value needs a name of 1 to 500 characters.', 'label');
        }
        $other = FindValue::known($value->definition, $label);
        if ($other !== null && $other->id !== $value->id) {
            throw new Refused("\"{$label}\" is what {$other->label} is called or spelled. Merge the two instead.", 'label');
        }
        if ($value->umbrella_id === null && $shown === Showing::Everywhere) {
            TermNames::allow($value->definition, $label, [$value->id], 'label');
            if ($look->label !== null) {
                TermNames::allow($value->definition, $look->label, [$value->id], 'look_label');
            }
        }

        return $this->ledger->record(Room::Values, function (Journal $journal) use (
            $value,
            $label,
            $look,
            $shown,
            $version,
            $page,
        ): string {
            if ($value->refresh()->version !== $version) {
                throw Refused::changedMeanwhile($value->label);
            }
            $before = $value->label;
            $journal->update(
                Value::class,
                $value->id,
                [
                    'label' => $label,
                    'look' => $look->toJson(),
                ] + Value::shown($shown) + ($page === null ? [] : ['description' => $page->description, 'picture' => $page->picture]),
            );
            if ($label !== $before) {
                CreateValue::ownSpelling($journal, $value->definition, $value->id, $label);

                return "Renamed {$before} to {$label} ({$value->definition->label})";
            }

            return "Changed {$label} ({$value->definition->label})";
        });
    }
}
