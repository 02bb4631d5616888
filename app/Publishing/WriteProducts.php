<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Models\Definition;
use App\Models\State;
use Closure;
use Illuminate\Database\Eloquent\Collection;
use Lokum\Lineup\SortOrder;
use PDO;

/**
 * Writes what an edition says of its products one by one: what the search box finds them by, the orders that they can stand in, and they
 * themselves with their variants. That is half of a whole edition, and needs nothing of the other half but the numbers of the products.
 */
final readonly class WriteProducts
{
    /**
     * @param  PDO  $pdo  of the catalog, with the edition's file attached
     * @param  Collection<int, Definition>  $definitions
     * @param  array<string, SortOrder>  $sorts  that any page can be put in, by what they do
     * @param  TakenOver|null  $before  the edition that the file is a copy of
     */
    public function __construct(
        private EditionWriter $writer,
        private Numbering $numbering,
        private PDO $pdo,
        private Collection $definitions,
        private array $sorts,
        private ?TakenOver $before,
    ) {
    }

    /** @param  Closure(string, float): void  $progress */
    public function __invoke(Closure $progress): void
    {
        $progress('Writing what is searched', 0.0);
        $this->texts();
        $progress('Writing orders', 0.4);
        (new EditionOrders($this->writer, $this->numbering, $this->pdo))->write(
            $this->sorts,
            $this->before,
            $this->definitions->pluck('id', 'slug')->all(),
        );
        $progress('Writing products', 0.5);
        $this->writer->handOver();
        (new CopyProducts($this->pdo))(
            $this->numbering->layout->products(),
            fn (float $share) => $progress('Writing products', 0.5 + 0.5 * $share),
        );
    }

    /** What shoppers read of what products carry, and find them by. */
    private function texts(): void
    {
        $search = new EditionSearch($this->writer, $this->numbering, new ShownSpellings($this->pdo), $this->pdo);
        foreach ($this->definitions->where('state', State::Accepted) as $definition) {
            if ($this->before?->keeps($definition) !== true) {
                $search->remove($definition->id);
                $search->definition($definition);
            }
        }
        if ($this->before === null) {
            $search->own();
        }
    }
}
