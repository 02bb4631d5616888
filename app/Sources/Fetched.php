<?php

declare(strict_types=1);

namespace App\Sources;

use App\Support\Refused;

/** A file that has come and was not taken yet. */
final readonly class Fetched
{
    /**
     * @param  string  $path  where it lies
     * @param  string  $name  as its supplier calls it
     * @param  array<string, string>  $marks  what the source is told next time: ETag, Last-Modified
     * @param  bool  $isOurs  whether it lies in the inbox and is put aside once it was taken
     */
    public function __construct(
        public string $path,
        public string $name,
        public array $marks = [],
        public bool $isOurs = false,
    ) {
    }

    /** Where what comes is put down. */
    public static function room(): string
    {
        $path = tempnam(config('lokum.data').'/feeds', 'fetch-');

        return $path === false ? throw new Refused('There is no room in the data directory for what comes.') : $path;
    }

    /** What stands in it, however it is called and packed. */
    public function digest(): string
    {
        // What is not packed is read as it is.
        return (string) hash_file('xxh128', "compress.zlib://{$this->path}");
    }

    /** What was fetched is not kept; whoever read it has a copy. */
    public function leave(): void
    {
        if (! $this->isOurs) {
            @unlink($this->path);
        }
    }
}
