<?php

declare(strict_types=1);

namespace App\Editions;

/** What an edition's file says of the edition as a whole. Each is written by BuildEdition, and read by no other name. */
enum EditionMeta: string
{
    /** The shape of the file. */
    case Format = 'format';

    /** The version of Lokum that wrote it. */
    case MadeBy = 'made_by';

    /** The last act in History that is in it. */
    case Revision = 'revision';

    case Edition = 'edition';

    /** How many products have a first variant, a second one and so on, as JSON. */
    case Lanes = 'lanes';

    case Currency = 'currency';

    case Locale = 'locale';

    /** Definitions whose values have pages, by id, as JSON. */
    case Directories = 'directories';

    /** What shoppers are helped with, and what filters are called, by key, as JSON. */
    case Helps = 'helps';

    case Labels = 'labels';

    /** Where the addresses of merged definitions lead, as JSON. */
    case EndedAttributes = 'ended_attributes';

    /** Under which heading a definition stands on a product's page, by its label, as JSON. */
    case Sections = 'sections';

    /** Fields of numbers that the API lists, as JSON. */
    case CountedNumbers = 'counted_numbers';

    /** What editions are compared by, serialized. */
    case Summary = 'summary';
}
