<?php

declare(strict_types=1);

namespace App\Feeds;

/** A delivery was read, and the catalog is another: whoever works out figures of it may do so before somebody asks. */
final readonly class DeliveryRead
{
}
