<?php

declare(strict_types=1);

namespace Lokum\Feed;

use Generator;

/** A supplier's file, opened: headings and the rows below them, whatever format it came in. */
interface SupplierFile
{
    /** @return list<string> as they stand, stray spaces and all */
    public function headings(): array;

    /** @return list<string> what it was found to be, in words for the person who reads it: "comma between cells", "UTF-8" */
    public function described(): array;

    /**
     * The rows below the headings. Can be asked for again and again.
     *
     * @return Generator<int, Row>
     */
    public function rows(): Generator;

    /** How far the reading has come, from 0 to 1. */
    public function progress(): float;
}
