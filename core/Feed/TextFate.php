<?php

declare(strict_types=1);

namespace Lokum\Feed;

use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Policy;

/** What becomes of a text that a delivery brings (C14). */
enum TextFate: string
{
    /** A spelling that was there, letter by letter. */
    case Known = 'known';
    /** The letters of a value that was there. */
    case Resolved = 'resolved';
    /** A newcomer that becomes a value. */
    case New = 'new';
    /** A newcomer that becomes a value which shoppers wait for. */
    case Held = 'held';
    /** A newcomer that its attribute does not let in: its row is refused. */
    case Refused = 'refused';
    /** Of a field: read as a number, a day, yes or no, or as it is. */
    case Read = 'read';

    /**
     * Of a text that is no known spelling.
     *
     * @param  bool  $isKnown  whether a value has its letters
     * @param  Policy  $policy  of the attribute; only a choice can have newcomers
     */
    public static function of(Kind $kind, bool $isKnown, Policy $policy): self
    {
        return match (true) {
            $kind !== Kind::Choice => self::Read,
            $isKnown => self::Resolved,
            default => match ($policy) {
                Policy::Follow => self::New,
                // What is certain lands behind the reading, when the whole list is known.
                Policy::Certain, Policy::Hold => self::Held,
                Policy::Refuse => self::Refused,
            },
        };
    }
}
