<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Room;
use App\Models\Spelling;
use App\Models\Umbrella;
use App\Models\Value;
use App\Support\Refused;
use App\Values\CreateValue;
use App\Values\FindValue;
use App\Values\FirstLook;
use App\Values\TermNames;
use App\Values\ValueMaker;
use InvalidArgumentException;
use Lokum\Feed\CsvFile;
use Lokum\Feed\CsvWriter;
use Lokum\Feed\UnreadableFile;
use Lokum\Text\Label;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\Showing;
use Lokum\Vocabulary\SkosReader;
use Lokum\Vocabulary\UnreadableSkos;

/**
 * Takes in a list of values with their spellings, umbrellas and looks, as another shop has cleaned it. Values that are there
 * already are known by their letters; spellings that stand for another value here move to the one that the list says.
 */
final readonly class TakeInValues
{
    private const MOST_CONCEPTS = 10_000_000;

    /** How lists of concepts begin: JSON, or the declarations and names of Turtle. */
    private const CONCEPTS = '/^\x{FEFF}?(?:\s|#[^\n]*\n)*(?:[\[{]|@prefix\b|@base\b|prefix\s+\w*:|<\w+:)/iu';

    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * @param  resource  $source  CSV with the columns value and, where they are known, those of ListValues::HEADINGS (others are
     *                            passed over), SKOS in Turtle or JSON-LD, or an archive of one with its pictures
     * @return array{values: int, spellings: int, moved: int, umbrellas: int} what comes new, and spellings that move
     */
    public function consequences(Definition $definition, $source): array
    {
        $list = new SentList($source, keeps: false);
        $rows = $this->rows($definition, $list->csv($definition->slug));

        return $this->ledger->rehearse(fn (Journal $journal): array => $this->write($journal, $definition, $rows, $list));
    }

    /** @param  resource  $source */
    public function __invoke(Definition $definition, $source): ?Change
    {
        ManagersOnly::allow($definition->id);
        $list = new SentList($source, keeps: true);
        $rows = $this->rows($definition, $list->csv($definition->slug));

        return $this->ledger->record(Room::Values, function (Journal $journal) use ($definition, $rows, $list): string {
            $figures = $this->write($journal, $definition, $rows, $list);

            return "Took in a list for {$definition->label}: ".
                number_format($figures['values']).
                ' values and '.
                number_format($figures['spellings']).
                ' spellings came, '.
                number_format($figures['moved']).
                ' spellings moved';
        });
    }

    /**
     * What an archive of several lists would bring, each to the attribute that it is called like.
     *
     * @param  resource  $source
     * @return array{lists: array<string, array{values: int, spellings: int, moved: int, umbrellas: int}>, over: list<string>} by
     *         label of the attribute; lists that are called like none
     *
     * @throws Refused naming the list
     */
    public function consequencesOfAll($source): array
    {
        return $this->ledger->rehearse(fn (Journal $journal): array => $this->all($journal, new SentList($source, keeps: false)));
    }

    /** @param  resource  $source  an archive of several lists; all of them come in as one step */
    public function takeAll($source): ?Change
    {
        return $this->ledger->record(Room::Values, function (Journal $journal) use ($source): string {
            $figures = $this->all($journal, new SentList($source, keeps: true))['lists'];

            return 'Took in lists for '.implode(', ', array_keys($figures)).': '.
                number_format(array_sum(array_column($figures, 'values'))).' values and '.
                number_format(array_sum(array_column($figures, 'spellings'))).' spellings came';
        });
    }

    /** @return array{lists: array<string, array{values: int, spellings: int, moved: int, umbrellas: int}>, over: list<string>} */
    private function all(Journal $journal, SentList $list): array
    {
        $figures = $over = [];
        foreach ($list->names() as $called => $name) {
            $definition = Definition::called($called);
            if ($definition === null || $definition->kind !== Kind::Choice) {
                $over[] = $name;

                continue;
            }
            ManagersOnly::allow($definition->id);
            try {
                $rows = $this->rows($definition, $list->csv($called));
                $figures[$definition->label] = $this->write($journal, $definition, $rows, $list);
            } catch (Refused $why) {
                throw new Refused("{$name}: {$why->getMessage()}", 'list');
            }
        }

        return $figures === []
            ? throw new Refused('The archive has no list that is called like an attribute, such as color.csv.', 'list')
            : ['lists' => $figures, 'over' => $over];
    }

    /**
     * @param  resource  $source
     * @return list<array<string, string>> cells by heading
     */
    private function rows(Definition $definition, $source): array
    {
        if ($definition->kind !== Kind::Choice) {
            throw new Refused("The values of {$definition->label} are fixed; only a choice takes in a list.");
        }
        $rows = $meant = [];
        foreach (self::cells($source) as $place => $cells) {
            $cells += array_fill_keys(ListValues::HEADINGS, '');
            $label = Label::of($cells['value']);
            if (! ($label !== '' && mb_strlen($label) <= 500)) {
                throw new Refused("{$place}: a value has a name of 1 to 500 characters.");
            }
            $spelling = $cells['spelling'] === '' ? $label : $cells['spelling'];
            if (isset($meant[$spelling]) && StrictKey::of($meant[$spelling]) !== StrictKey::of($label)) {
                throw new Refused("{$place}: \"{$spelling}\" stands for \"{$meant[$spelling]}\" and for \"{$label}\".");
            }
            $meant[$spelling] = $label;
            $rows[] = ['value' => $label, 'spelling' => $spelling] + $cells;
        }

        return $rows;
    }

    /**
     * @param  resource  $source
     * @return iterable<string, array<string, string>> cells by heading, by where they stand
     *
     * @throws Refused for what is no list
     */
    private static function cells($source): iterable
    {
        $begins = (string) fread($source, 4096);
        rewind($source);
        try {
            if (preg_match(self::CONCEPTS, $begins) === 1) {
                if ((fstat($source)['size'] ?? 0) > self::MOST_CONCEPTS) {
                    throw new Refused('A list of concepts may have up to 10 MB; send a larger one as CSV.');
                }
                foreach (SkosReader::rows((string) stream_get_contents($source)) as $i => $cells) {
                    yield 'Label '.($i + 1) => $cells;
                }

                return;
            }
            $file = CsvFile::open($source);
            $headings = array_map(fn (string $heading): string => mb_strtolower(trim($heading)), $file->dialect->headings);
            if (! in_array('value', $headings, true)) {
                throw new Refused('The list has no column "value".');
            }
            foreach ($file->rows() as $row) {
                if ($row->problem !== null) {
                    throw new Refused("Line {$row->line}: {$row->problem}.");
                }
                $texts = array_pad(array_slice($row->cells, 0, count($headings)), count($headings), '');
                yield "Line {$row->line}" => array_combine($headings, array_map(CsvWriter::meant(...), $texts));
            }
        } catch (UnreadableFile|UnreadableSkos $why) {
            throw new Refused($why->getMessage());
        }
    }

    /**
     * @param  list<array<string, string>>  $rows
     * @return array{values: int, spellings: int, moved: int, umbrellas: int}
     */
    private function write(Journal $journal, Definition $definition, array $rows, SentList $list): array
    {
        $figures = [
            'values' => 0,
            'spellings' => 0,
            'moved' => 0,
            'umbrellas' => 0,
        ];
        $values = [];
        // Before any value: one of the same name comes under its umbrella, at an address of its own.
        $umbrellas = [];
        foreach ($rows as $row) {
            $label = Label::of($row['umbrella']);
            if ($label !== '') {
                $umbrellas[$label] ??= $this->umbrella($journal, $definition, $label, $figures);
            }
        }
        $maker = new ValueMaker($definition, $journal);
        foreach ($rows as $row) {
            $key = StrictKey::of($row['value']);
            $umbrella = $umbrellas[Label::of($row['umbrella'])] ?? null;
            $values[$key] ??=
                FindValue::known($definition, $row['value'])->id ??
                $this->made($journal, $maker, $definition, $row, $umbrella, $list, $figures);
            if ($umbrella !== null) {
                $journal->update(Value::class, $values[$key], ['umbrella_id' => $umbrella]);
            }
            $known = Spelling::table()
                ->where('definition_id', $definition->id)
                ->where('text', $row['spelling'])
                ->first(['id', 'value_id']);
            if ($known === null) {
                $journal->insert(Spelling::class, [
                    'definition_id' => $definition->id,
                    'text' => $row['spelling'],
                    'key' => StrictKey::of($row['spelling']),
                    'value_id' => $values[$key],
                ]);
                $figures['spellings']++;
            } elseif ($known->value_id !== $values[$key]) {
                $journal->update(Spelling::class, $known->id, ['value_id' => $values[$key]]);
                $figures['moved']++;
            }
            $shown = Showing::fromMark($row['hidden']);
            $journal->update(
                Value::class,
                $values[$key],
                ($shown === Showing::Everywhere ? [] : Value::shown($shown)) +
                    array_filter(['description' => $row['page'] ?: null, 'picture' => $list->picture($row['page_picture'])]),
            );
        }
        $this->keepApart($journal, $definition, $rows, $values);

        return $figures;
    }

    /**
     * @param  list<array<string, string>>  $rows
     * @param  array<string, int>  $values  by their letters
     */
    private function keepApart(Journal $journal, Definition $definition, array $rows, array $values): void
    {
        foreach ($rows as $row) {
            foreach ($row['apart'] === '' ? [] : explode(ListValues::BETWEEN, $row['apart']) as $label) {
                $other = $values[StrictKey::of($label)] ?? FindValue::known($definition, $label)?->id;
                $one = $values[StrictKey::of($row['value'])];
                if ($other !== null && $other !== $one) {
                    KeepApart::write($journal, $definition, [$one, $other]);
                }
            }
        }
    }

    /**
     * @param  array<string, string>  $row
     * @param  array{values: int, spellings: int, moved: int, umbrellas: int}  $figures
     */
    private function made(
        Journal $journal,
        ValueMaker $maker,
        Definition $definition,
        array $row,
        ?int $umbrella,
        SentList $list,
        array &$figures,
    ): int {
        try {
            $look = new Look(
                array_values(array_filter(preg_split('/[\s,;|]+/', strtolower($row['colors'])) ?: [])),
                null,
                $row['help'] === '' ? null : $row['help'],
                $list->picture($row['picture']),
            );
        } catch (InvalidArgumentException $why) {
            throw new Refused("{$row['value']}: {$why->getMessage()}");
        }
        $id = $maker->make($row['value'], $umbrella, look: $look->toJson(), address: $row['address']);
        CreateValue::ownSpelling($journal, $definition, $id, $row['value']);
        $figures['values']++;
        $figures['spellings']++;

        return $id;
    }

    /** @param  array{values: int, spellings: int, moved: int, umbrellas: int}  $figures */
    private function umbrella(Journal $journal, Definition $definition, string $label, array &$figures): int
    {
        $known = Umbrella::named($definition, $label);
        if ($known !== null) {
            return $known->id;
        }
        $figures['umbrellas']++;

        return $journal->insert(Umbrella::class, [
            'definition_id' => $definition->id,
            'label' => $label,
            'slug' => TermNames::slug($definition, $label),
            'look' => FirstLook::wearsColors($definition) ? FirstLook::fromName($label) : null,
        ]);
    }
}
