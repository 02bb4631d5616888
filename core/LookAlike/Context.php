<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Quantity\Unit;
use Lokum\Text\StrictKey;

/**
 * What a value says where those beside it in the list say the rest (C2): a label that nothing else is called by, a number in thousands,
 * first letters, another form of a word, another name in a dictionary. Alone, none of these would say that two are the same; each holds
 * only where the other value stands in the list.
 */
final class Context
{
    /** Verbs whose forms follow no rule. */
    private const FORMS = [
        'binding' => 'bound',
        'weaving' => 'woven',
        'winding' => 'wound',
        'grinding' => 'ground',
        'spinning' => 'spun',
    ];

    private const UMLAUTS = [
        'ä' => 'ae',
        'ö' => 'oe',
        'ü' => 'ue',
        'Ä' => 'ae',
        'Ö' => 'oe',
        'Ü' => 'ue',
    ];

    /** mm, m2, km/h; but not S3 */
    private const UNIT = '/^..(?<![^mnt][23])/u';

    /** @var array<string, string> what each meets others by, by its letters in every form it goes by */
    private array $known = [];

    /** @var array<int, list<string>> */
    private array $words = [];

    /** @var array<string, bool> whether several values are called with and without this word before them */
    private array $namesAlone = [];

    private Labels $labels;

    private Units $units;

    private Glosses $glosses;

    private Shorthand $shorthand;

    private DimensionWords $dimensionWords;

    private Boxes $boxes;

    private RoundedMeasures $rounded;

    /**
     * @param  array<int, string>  $written  values as they came
     * @param  array<int, string>  $texts  strict keys, after all that is known of each alone
     * @param  array<int, string>  $keys  what each meets others by then
     */
    public function __construct(
        private readonly array $written,
        private readonly array $texts,
        private readonly array $keys,
        private readonly Thesaurus $thesaurus,
        private readonly Names $names,
    ) {
        $asWritten = $plainly = [];
        foreach ($texts as $i => $text) {
            $plainly[$i] = $plain = Notation::plain($text);
            $asWritten[$i] = Notation::words($plain);
            $this->words[$i] = self::inUnits($asWritten[$i]);
            $sizes = strtr((string) preg_replace('/(?<=\d) ?x ?(?=\d)/', 'x', $plain), ',', '.');
            $forms = [$text, $plain, implode(' ', $this->words[$i]), implode(' ', $asWritten[$i]), $sizes, StrictKey::of($written[$i])];
            foreach ($forms as $form) {
                $this->known[$form] ??= $keys[$i];
                $this->known[rtrim($form, 's')] ??= $keys[$i];
            }
        }
        $this->boxes = new Boxes([...array_map(StrictKey::of(...), $written), ...$plainly]);
        foreach (['with', 'for'] as $before) {
            $named = array_map(fn (array $some): string => $this->known[$this->behind($before, $some)] ?? '', $this->words);
            $this->namesAlone[$before] = count(array_unique(array_diff($named, ['']))) > 1;
        }
        /** @var array<string, list<string>> $lists */
        $lists = require __DIR__.'/data/last-words.php';
        $lastWords = array_map(array_flip(...), $lists);
        $this->glosses = new Glosses($written, $this->known);
        $unexplained = array_filter($this->words, fn (int $i): bool => $this->glosses->of($texts[$i]) === null, ARRAY_FILTER_USE_KEY);
        $this->labels = new Labels($unexplained, $this->known, $lastWords['heads'], $lastWords['naming'], $lastWords['changing']);
        $this->units = new Units($this->words);
        /** @var array<string, array<string, string>> $dimensions */
        $dimensions = require __DIR__.'/data/dimension-words.php';
        $this->dimensionWords = new DimensionWords($plainly, $keys, $dimensions);
        $this->rounded = new RoundedMeasures($plainly, $keys);
        $before = array_map($this->asWritten(...), $written, $texts);
        $this->shorthand = new Shorthand($asWritten, $before, $keys, $this->known, $lastWords['clipped']);
    }

    /** @return array<string, string> keys of others that a value is the same as, by evidence */
    public function of(int $i): array
    {
        $words = $this->words[$i];
        $keys = [
            Evidence::Phrase->value => $this->keysOf([
                ...$this->inAnotherForm($words),
                ...$this->having($words),
                ...$this->boxes->opened($words),
                ...self::writtenOut($this->written[$i]),
            ]),
            Evidence::Named->value => array_filter([$this->glosses->of($this->texts[$i])], is_string(...)),
            Evidence::Thousands->value => array_filter([$this->shorthand->thousands($this->texts[$i])], is_string(...)),
            Evidence::Label->value => $this->keysOf([...$this->labels->without($i), ...$this->units->beside($words)]),
            Evidence::Dimension->value => $this->dimensionWords->of($i),
            Evidence::Initials->value => $this->shorthand->of($this->texts[$i], $words, $this->written[$i]),
            Evidence::Rounded->value => $this->rounded->of($i),
            Evidence::Thesaurus->value => $this->keysOf(
                count($words) > Notation::MOST_WORDS ? [] : $this->thesaurus->otherwise($words),
            ),
        ];
        $others = array_map(fn (array $some): array => array_diff($some, [$this->known[$this->texts[$i]]]), $keys);

        return array_map(fn (array $some): string => reset($some), array_filter($others));
    }

    /**
     * What a value in another language says where its names have several meanings, and only another one than the usual stands in the
     * list: nudeln beside pasta.
     *
     * @return array<string, string>
     */
    public function instead(int $i): array
    {
        $isInList = fn (string $text): bool => isset($this->known[$text]) && $this->known[$text] !== $this->keys[$i];
        $meanings = $this->names->meanings(StrictKey::of($this->written[$i]));
        $others = $meanings === [] || $isInList($this->texts[$i]) ? [] : array_filter($meanings, $isInList);

        return count($others) === 1 ? [Evidence::Language->value => $this->known[reset($others)]] : [];
    }

    /**
     * @param  list<string>  $texts
     * @return list<string> of those that stand in the list
     */
    private function keysOf(array $texts): array
    {
        return array_values(array_filter(array_map(fn (string $text): ?string => $this->known[$text] ?? null, $texts), is_string(...)));
    }

    /**
     * With one of its words in another form of the verb: saddle stitching, saddle stitched.
     *
     * @param  list<string>  $words
     * @return list<string>
     */
    private function inAnotherForm(array $words): array
    {
        $found = [];
        foreach ($words as $place => $word) {
            $stem = substr($word, 0, -3);
            // fitting, fitted, fit
            $shorter = substr($stem, 0, -1);
            $forms = isset(self::FORMS[$word]) ? [self::FORMS[$word]] : [];
            // bunting is nothing that is bunt
            if (preg_match(count($words) > 1 ? '/^(?=.*[aeiou].*ing$)\pL{3,}ing$/u' : '/^\pL{5,}ing$/u', $word) === 1) {
                array_push($forms, $stem, "{$stem}e", "{$stem}ed", "{$shorter}ed", $shorter);
            }
            // dark roasted, dark roast
            if (count($words) > 1 && preg_match('/^\pL{3,}ed$/u', $word) === 1) {
                array_push($forms, substr($word, 0, -2), substr($word, 0, -1));
            }
            // sports horse, sport horse
            if ($place < count($words) - 1 && preg_match('/^\pL{4,}(?<!s)s$/u', $word) === 1) {
                $forms[] = substr($word, 0, -1);
            }
            foreach ($forms as $form) {
                $found[] = implode(' ', array_replace($words, [$place => $form]));
            }
        }

        return $found;
    }

    /**
     * With its umlauts written out: müsli, muesli. Strict keys have their letters without the dots.
     *
     * @return list<string>
     */
    private static function writtenOut(string $written): array
    {
        $out = strtr($written, self::UMLAUTS);

        return $out === $written ? [] : [StrictKey::of($out)];
    }

    /**
     * What has something, or has it not, or is for it, in one word or by its name alone: with salt, salted; without facing, unfaced;
     * with insulation, insulated; with castors, castors; for kitchens, kitchen.
     *
     * @param  list<string>  $words
     * @return list<string>
     */
    private function having(array $words): array
    {
        $first = $words[0] ?? '';
        $named = implode(' ', array_slice($words, 1));
        $participle = preg_replace('/(?:ing|e|(?<=at)ion)?s?$/', '', $named).'ed';
        // With a trickle vent; with salt is no salt.
        $hasMany = $first === 'with' && count($words) > 2 && preg_match('/\d/', $named) !== 1;
        $alone = $hasMany || ($this->namesAlone[$first] ?? false) ? [$this->behind($first, $words)] : [];

        return match (true) {
            $named === '' && preg_match('/^\pL{3,}ed$/u', $first) === 1 => [
                'with '.substr($first, 0, -2),
                'with '.substr($first, 0, -1),
                'with '.preg_replace('/(.)\1ed$/', '$1', $first),
                'with '.preg_replace('/(?<=at)ed$/', 'ion', $first),
            ],
            $named === '' => [],
            $first === 'with' => [...$alone, $participle, preg_replace('/(?<=[aeiou])([bdgmnpt])$/', '$1$1', $named).'ed'],
            $first === 'for' => $alone,
            in_array($first, ['without', 'not', 'non'], true) => [
                "un{$participle}",
                "un{$named}",
                "non {$named}",
                "without {$named}",
                'without '.preg_replace('/ed$/', '', $named),
            ],
            default => [],
        };
    }

    /**
     * What stands behind a word at the beginning, or its singular where that is known.
     *
     * @param  list<string>  $words
     */
    private function behind(string $before, array $words): string
    {
        $named = ($words[0] ?? '') === $before ? implode(' ', array_slice($words, 1)) : '';

        return isset($this->known[$named]) ? $named : rtrim($named, 's');
    }

    /**
     * The words of a value before any name was replaced, where it is in English: first letters are of these.
     *
     * @return list<string>
     */
    private function asWritten(string $written, string $text): array
    {
        $letters = StrictKey::of($written);

        return $letters !== $text && isset($this->names->otherwise($letters)[Evidence::Language->value])
            ? []
            : Notation::words(Notation::plain($letters));
    }

    /**
     * With units by their signs, behind numbers: 40 hours, 40 hrs.
     *
     * @param  list<string>  $words
     * @return list<string>
     */
    private static function inUnits(array $words): array
    {
        foreach ($words as $place => $word) {
            $unit =
                $place > 0 && preg_match('/^\d[\d.,]*$/', $words[$place - 1]) === 1 && preg_match(self::UNIT, $word) === 1
                    ? Unit::find($word)
                    : null;
            $words[$place] = $unit === null || isset($unit->powers['piece']) ? $word : $unit->symbol;
        }

        return $words;
    }
}
