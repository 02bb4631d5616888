<?php

declare(strict_types=1);

namespace App\Models;

/** A row that belongs to a definition, whose data managers may have kept for themselves: its column definition_id says which. */
interface OfDefinition
{
}
