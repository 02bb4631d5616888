<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\Counted;
use App\Definitions\Definition;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Lokum\Text\StrictKey;
use PDO;

/** Writes the texts of fields that are filters. What the search box finds products by is written with the products. */
final readonly class EditionTexts
{
    public function __construct(private EditionWriter $writer, private Numbering $numbering)
    {
    }

    /** @param  Collection<int, Definition>  $definitions  text fields that are filters */
    public function write(Collection $definitions): void
    {
        foreach ($definitions as $definition) {
            $this->writer->insert('text_levels', [$definition->slug, $definition->level->value]);
            foreach ($this->rows('SELECT a.item_id, s.text FROM spellings s JOIN assignments a ON a.spelling_id = s.id JOIN items i ON i.id = a.item_id WHERE s.definition_id = '.$definition->id.' AND '.Counted::on($definition->level)) as [$item, $text]) {
                $this->writer->insert(
                    'texts',
                    [
                        $definition->slug,
                        $this->numbering->bit((int) $item, $definition->level),
                        StrictKey::of((string) $text),
                    ],
                );
            }
        }
    }

    /** @return iterable<array{0: int, 1: string}> */
    private function rows(string $sql): iterable
    {
        $statement = DB::connection()->getPdo()->query($sql);
        while ($statement !== false && ($row = $statement->fetch(PDO::FETCH_NUM)) !== false) {
            yield $row;
        }
    }
}
