<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

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

    /** @var array<string, string> what each meets others by, by its letters in every form it goes by */
    private array $known = [];

    /** @var array<int, list<string>> */
    private array $words = [];

    private Labels $labels;

    private Shorthand $shorthand;

    /**
     * @param  array<int, string>  $texts  strict keys, after all that is known of each alone
     * @param  array<int, string>  $keys  what each meets others by then
     */
    public function __construct(
        private readonly array $texts,
        array $keys,
        private readonly Thesaurus $thesaurus,
    ) {
        foreach ($texts as $i => $text) {
            $plain = Notation::plain($text);
            $this->words[$i] = Notation::words($plain);
            $sizes = (string) preg_replace('/(?<=\d) ?x ?(?=\d)/', 'x', $plain);
            foreach ([$text, $plain, implode(' ', $this->words[$i]), $sizes] as $form) {
                $this->known[$form] ??= $keys[$i];
                $this->known[rtrim($form, 's')] ??= $keys[$i];
            }
        }
        /** @var array<string, list<string>> $lists */
        $lists = require __DIR__.'/data/last-words.php';
        $lastWords = array_map(array_flip(...), $lists);
        $this->labels = new Labels($this->words, $this->known, $lastWords['heads']);
        $this->shorthand = new Shorthand($this->words, $keys, $this->known, $lastWords['clipped']);
    }

    /** @return array<string, string> keys of others that a value is the same as, by evidence */
    public function of(int $i): array
    {
        $words = $this->words[$i];
        $keys = [
            Evidence::Phrase->value => $this->keysOf($this->inAnotherForm($words)),
            Evidence::Thousands->value => array_filter([$this->shorthand->thousands($this->texts[$i])], is_string(...)),
            Evidence::Label->value => $this->keysOf($this->labels->without($i)),
            Evidence::Initials->value => $this->shorthand->of($this->texts[$i], $words),
            Evidence::Thesaurus->value => $this->keysOf(
                count($words) > Notation::MOST_WORDS ? [] : $this->thesaurus->otherwise($words),
            ),
        ];
        $others = array_map(fn (array $some): array => array_diff($some, [$this->known[$this->texts[$i]]]), $keys);

        return array_map(fn (array $some): string => reset($some), array_filter($others));
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
            if (preg_match('/^\pL{4,}ing$/u', $word) === 1) {
                array_push($forms, $stem, "{$stem}e", "{$stem}ed", "{$shorter}ed", $shorter);
            }
            foreach ($forms as $form) {
                $found[] = implode(' ', array_replace($words, [$place => $form]));
            }
        }

        return $found;
    }
}
