<?php

declare(strict_types=1);

namespace App\Console;

use App\Publishing\WriteOtherHalf;

/** What a publication starts beside itself, and nobody else: it waits to be told when the moment is that both show. */
final class PublishBesideCommand extends Command
{
    protected $signature = 'publish:beside {edition}';

    protected $description = 'Writes the products of an edition for a publication that is under way';

    protected $hidden = true;

    public function handle(WriteOtherHalf $write): int
    {
        $isWritten = $write(
            $this->text('edition'),
            fn (string $word) => fwrite(STDOUT, "{$word}\n"),
            fn (): string => trim((string) fgets(STDIN)),
        );

        return $isWritten ? self::SUCCESS : self::FAILURE;
    }
}
