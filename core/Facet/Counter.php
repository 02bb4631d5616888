<?php

declare(strict_types=1);

namespace Lokum\Facet;

/**
 * Counts what shoppers see (C6). The count beside a term is the number of products after picking it: for *any* the
 * filter's own picks are set aside, for *all* they are kept, for a single choice they are replaced.
 */
final readonly class Counter
{
    /** @var array<int|string, Carriers> what each question's picks ask for, by name */
    private array $asked;

    private Scope $matching;

    /**
     * @param  Scope  $listing  the page's products, narrowed by nothing that a question asks
     * @param  list<Question>  $questions  names are unique
     * @param  array<string, Carriers>  $ranges  what each range asks for, by field; names differ from the questions'
     */
    public function __construct(private Scope $listing, private array $questions, private TermSource $terms, array $ranges = [])
    {
        $asked = $ranges;
        foreach ($questions as $question) {
            $carriers = $this->asks($question);
            if ($carriers !== null) {
                $asked[$question->name] = $carriers;
            }
        }
        $this->asked = $asked;
        $this->matching = $this->without('');
    }

    /** What passes everything. */
    public function matching(): Scope
    {
        return $this->matching;
    }

    /** What passes everything but the named question or range. */
    public function without(string $name): Scope
    {
        $scope = $this->listing;
        foreach ($this->asked as $other => $carriers) {
            if (strval($other) !== $name) {
                $scope = $scope->narrow($carriers);
            }
        }

        return $scope;
    }

    /**
     * The count beside each term.
     *
     * @return array<string, array<int, int>> products by term id, by question name
     */
    public function counts(): array
    {
        $counts = [];
        $all = new Tally($this->matching, $this->terms, $this->onlyPicks(''));
        foreach ($this->questions as $question) {
            $keepsPicks = $question->combine === Combine::All || ! isset($this->asked[$question->name]);
            $tally = $keepsPicks
                ? $all
                : new Tally($this->without($question->name), $this->terms, $this->onlyPicks($question->name));
            $counts[$question->name] = $tally->of($question->terms);
        }

        return $counts;
    }

    /**
     * @return list<int>|null the picks, where the whole shop is narrowed by the picks of one question and by nothing else but the
     *         named one
     */
    private function onlyPicks(string $name): ?array
    {
        $others = array_diff(array_map(strval(...), array_keys($this->asked)), [$name]);
        $question = array_column($this->questions, null, 'name')[reset($others)] ?? null;

        return count($others) === 1 &&
            $question !== null &&
            ($question->combine !== Combine::All || count($question->picks) === 1) &&
            $this->listing->isEverything()
            ? $question->picks
            : null;
    }

    private function asks(Question $question): ?Carriers
    {
        /** @var Carriers|null $asked */
        $asked = null;
        foreach ($question->picks as $term) {
            $carriers = $this->terms->carriers($term);
            $asked = match (true) {
                $asked === null => $carriers,
                $question->combine === Combine::All => $asked->and($carriers),
                default => $asked->or($carriers),
            };
        }

        return $asked;
    }
}
