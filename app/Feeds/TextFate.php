<?php

declare(strict_types=1);

namespace App\Feeds;

/** What becomes of a text of a delivery (C14), as temp.staged_texts keeps it. */
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
    /** A newcomer that its attribute does not let in. */
    case Refused = 'refused';
    /** Of a field: read as a number, a day, yes or no, or as it is. */
    case Read = 'read';
}
