<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Draft\DraftLineups;
use App\Models\Definition;
use Closure;
use Illuminate\Support\Facades\DB;

/** The products of an edition that another process publishes, which says when: see WriteBeside. */
final readonly class WriteOtherHalf
{
    /**
     * @param  string  $edition  name of the edition's file
     * @param  Closure(string): mixed  $tell
     * @param  Closure(): string  $hear
     * @return bool whether it was told to begin, and has ended
     */
    public function __invoke(string $edition, Closure $tell, Closure $hear): bool
    {
        $pdo = DB::connection()->getPdo();
        $writer = new EditionWriter(WriteBeside::path($edition), $pdo);
        $tell(WriteBeside::READY);
        if ($hear() !== WriteBeside::BEGIN) {
            return false;
        }
        WriteBeside::beginToRead($pdo);
        $tell(WriteBeside::BEGUN);
        $writer->begin(null);
        $numbering = Numbering::afresh($pdo);
        $numbering->intoTables($pdo);
        $definitions = Definition::query()->live()->orderBy('id')->get();
        $write = new WriteProducts($writer, $numbering, $pdo, $definitions, DraftLineups::load()->sorts(), null);
        $write(fn (string $what, float $share) => $tell(sprintf('%.2f', $share)));
        $writer->letGo();

        return true;
    }
}
