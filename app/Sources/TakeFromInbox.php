<?php

declare(strict_types=1);

namespace App\Sources;

use App\Feeds\FeedFile;
use App\Models\Feed;

/** The next file of the inbox that a feed's pattern means, in the order of their names. */
final class TakeFromInbox
{
    /** Seconds without a change after which a file is taken to be whole. */
    private const SETTLED = 2;

    public function __invoke(Feed $feed, Source $source): ?Fetched
    {
        foreach (FeedFile::inbox() as $name) {
            $path = FeedFile::inboxPath($name);
            clearstatcache(true, $path);
            $isWhole = (int) @filemtime($path) <= time() - self::SETTLED;
            if ($isWhole && fnmatch($source->pattern, $name, FNM_CASEFOLD | FNM_PERIOD)) {
                return new Fetched($path, $name, isOurs: true);
            }
        }

        return null;
    }
}
