<?php

declare(strict_types=1);

namespace Lokum\Facet;

/** Where the counting gets a term's carriers from, one at a time, so that memory does not grow with the terms. */
interface TermSource
{
    /** @param  int  $term  id of a term that exists */
    public function carriers(int $term): Carriers;

    /**
     * @param  int  $term  id of any term of an attribute
     * @return list<TermColumn> the columns of that attribute, if it has any
     */
    public function columns(int $term): array;
}
