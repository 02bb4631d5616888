<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Definition;
use App\Models\Reading;
use App\Support\Page;

/** What came with newer data to one attribute, and where else something waits. */
final readonly class NewcomersPage extends Page
{
    private const PER_PAGE = 100;

    /** @var list<string> that newcomers came with */
    public array $feeds;

    public int $total;

    /** @var list<Newcomer> nobody has said what they are; the first of them */
    public array $open;

    /** @var list<Newcomer> became a known value by themselves; the first of them */
    public array $resolved;

    public int $certain;

    public int $resolvedCount;

    /**
     * @param  list<array{definition: Definition, new: int, resolved: int}>  $waiting  by attribute
     * @param  list<Newcomer>  $all  of the attribute
     * @param  string  $feed  the one whose newcomers are shown; empty for all
     */
    public function __construct(
        public ?Definition $definition,
        public array $waiting,
        array $all,
        public string $feed,
        public ?Reading $lastRead,
    ) {
        $shown = array_values(array_filter($all, fn (Newcomer $one): bool => $feed === '' || $one->feed === $feed));
        $resolved = array_values(array_filter($shown, fn (Newcomer $one): bool => $one->resolved));
        $open = array_values(array_filter($shown, fn (Newcomer $one): bool => ! $one->resolved));
        $this->feeds = array_values(array_unique(array_map(fn (Newcomer $one): string => $one->feed, $all)));
        $this->total = count($shown);
        $this->open = array_slice($open, 0, self::PER_PAGE);
        $this->resolved = array_slice($resolved, 0, self::PER_PAGE);
        $this->resolvedCount = count($resolved);
        $this->certain = count(array_filter($shown, fn (Newcomer $one): bool => $one->certain));
    }
}
