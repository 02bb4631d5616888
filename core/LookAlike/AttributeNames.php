<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Quantity\Unit;

/** Which names of attributes mean one: Colour, Color and Farbe; Weight and Weight (g). */
final readonly class AttributeNames
{
    /** Weight (g), Length [mm] */
    private const IN_BRACKETS = '/^(.+?)\s*[(\[]\s*([^()\[\]]+?)\s*[)\]]\s*$/u';

    /** Weight, g; Length in mm */
    private const BEHIND = '/^(.+?)(?:,| in)\s+(\S+)\s*$/u';

    /**
     * @param  list<string>  $names
     * @return list<non-empty-list<int>> places of those that mean one, two or more each, in the order of their first
     */
    public static function alike(array $names): array
    {
        $candidates = array_map(fn (string $name): Candidate => new Candidate(self::withoutUnit($name), 1), $names);
        // What says nothing among values tells names apart: Sheet size is not Sheets, Paper weight is not Weight.
        $groups = array_map(
            fn (Group $group): array => $group->members,
            (new LookAlikes(Lexicon::shipped()))->among($candidates, together: false),
        );
        usort($groups, fn (array $one, array $other): int => min($one) <=> min($other));

        return $groups;
    }

    /** A name without the unit that it ends with; "Width (front)" as it is. */
    public static function withoutUnit(string $name): string
    {
        foreach ([self::IN_BRACKETS, self::BEHIND] as $pattern) {
            if (preg_match($pattern, $name, $part) === 1 && Unit::find($part[2]) !== null) {
                return $part[1];
            }
        }

        return $name;
    }
}
