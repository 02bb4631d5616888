<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

/** Whether a definition belongs to what is listed or to what is bought. */
enum Level: string
{
    case Product = 'product';
    case Variant = 'variant';
}
