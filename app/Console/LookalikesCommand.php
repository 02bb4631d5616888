<?php

declare(strict_types=1);

namespace App\Console;

use App\Definitions\Definition;
use App\Refused;
use App\Vocabulary\ProductCounts;
use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Group;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;
use Symfony\Component\Console\Exception\InvalidOptionException;

final class LookalikesCommand extends Command
{
    protected $signature = 'lookalikes {attribute? : slug of the attribute}
        {--stdin : reads values from standard input, one a line, as text, or text, tab and count}
        {--json : answer with one JSON document}';

    protected $description = 'Proposes values that are the same thing, with the evidence';

    public function handle(ProductCounts $counts): int
    {
        if (($this->argument('attribute') === null) === ! $this->option('stdin')) {
            throw new InvalidOptionException('Name an attribute, or give values on standard input with --stdin.');
        }
        $candidates = $this->option('stdin') ? $this->fromInput() : $this->ofAttribute((string) $this->argument('attribute'), $counts);
        $groups = array_map(fn (Group $group): array => [
            'keep' => $candidates[$group->members[0]]->text, 'members' => array_map(fn (int $i): string => $candidates[$i]->text, $group->members),
            'evidence' => $group->evidence, 'confidence' => $group->confidence,
        ], (new LookAlikes(Lexicon::shipped()))->among($candidates));

        return $this->answer(['groups' => $groups], array_map(fn (array $group): string => implode(' = ', $group['members']).'   ('.implode('; ', array_slice($group['evidence'], 0, 2)).')', $groups));
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

    /** @return list<Candidate> */
    private function ofAttribute(string $slug, ProductCounts $counts): array
    {
        $definition = Definition::query()->where('slug', $slug)->first() ?? throw Refused::unknown('attribute', $slug);
        $products = $counts->byValue($definition);

        return $definition->values()->orderBy('id')->get()->map(fn ($value): Candidate => new Candidate($value->label, $products[$value->id] ?? 0))->values()->all();
    }
}
