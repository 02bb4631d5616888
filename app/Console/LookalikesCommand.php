<?php

declare(strict_types=1);

namespace App\Console;

use App\Support\Refused;
use App\Vocabulary\Proposal;
use App\Vocabulary\ProposeMerges;
use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Group;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;
use Symfony\Component\Console\Exception\InvalidOptionException;

final class LookalikesCommand extends Command
{
    protected $signature = 'lookalikes {attribute? : slug of the attribute}
        {--stdin : reads values from standard input, one a line, as text, or text, tab and count}
        {--attribute= : with --stdin, what the values are called together; its words say nothing inside a value}
        {--json : answer with one JSON document}';

    protected $description = 'Proposes values that are the same thing, with the evidence';

    public function handle(ProposeMerges $propose): int
    {
        if (($this->argument('attribute') === null) === ! $this->option('stdin')) {
            throw new InvalidOptionException('Name an attribute, or give values on standard input with --stdin.');
        }
        if ($this->option('attribute') !== null && ! $this->option('stdin')) {
            throw new InvalidOptionException('--attribute says what values on standard input are called; it goes with --stdin.');
        }
        $groups = $this->option('stdin')
            ? $this->amongInput()
            : $this->ofAttribute($propose);

        return $this->answer(
            ['groups' => $groups],
            array_map(
                fn (array $group): string => implode(' = ', $group['members']).
                    '   ('.
                    implode('; ', array_slice($group['evidence'], 0, 2)).
                    ')',
                $groups,
            ),
        );
    }

    /** @return list<array{keep: string, members: list<string>, evidence: list<string>, confidence: float}> */
    private function amongInput(): array
    {
        $candidates = $this->fromInput();

        return array_map(
            fn (Group $group): array => [
                'keep' => $candidates[$group->members[0]]->text,
                'members' => array_map(fn (int $i): string => $candidates[$i]->text, $group->members),
                'evidence' => $group->evidence,
                'confidence' => $group->confidence,
            ],
            (new LookAlikes(Lexicon::shipped()))->among($candidates, about: $this->text('attribute')),
        );
    }

    /** @return list<array{keep: string, members: list<string>, evidence: list<string>, confidence: float}> without what is kept apart */
    private function ofAttribute(ProposeMerges $propose): array
    {
        $definition = $this->definition();
        /** @var array<int, string> $labels */
        $labels = $definition->values()->pluck('label', 'id')->all();

        return array_map(
            fn (Proposal $proposal): array => [
                'keep' => $labels[$proposal->values[0]],
                'members' => array_map(fn (int $id): string => $labels[$id], $proposal->values),
                'evidence' => $proposal->evidence,
                'confidence' => $proposal->confidence,
            ],
            $propose->of($definition),
        );
    }

    /** @return list<Candidate> */
    private function fromInput(): array
    {
        $candidates = [];
        while (($line = fgets(STDIN)) !== false) {
            $line = rtrim($line, "\r\n");
            [$text, $count] = preg_match('/^(.*)\t(\d+)$/sD', $line, $part) === 1 ? [$part[1], (int) $part[2]] : [$line, 0];
            if (! mb_check_encoding($text, 'UTF-8')) {
                throw new Refused('Line '.(count($candidates) + 1).' is not UTF-8.');
            }
            if (trim($text) !== '') {
                $candidates[] = new Candidate($text, $count);
            }
        }

        return $candidates;
    }
}
