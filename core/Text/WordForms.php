<?php

declare(strict_types=1);

namespace Lokum\Text;

/** Names that differ only in letters, spaces, UK or US spelling, or plural have one key: "Colours", "colour" and "Color". */
final class WordForms
{
    /** @return string empty for a name without letters or digits */
    public static function key(string $name): string
    {
        $words = preg_split('/[^\p{L}\p{N}%]+/u', StrictKey::of($name), -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return implode('', array_map(fn (string $word): string => self::singular(self::american($word)), $words));
    }

    /** Endings and stems that the UK and the US spell differently: expression => what the US writes. */
    private const AMERICAN = [
        '/colour/' => 'color',
        '/(?<=.)(?:gre)y/' => 'gray',
        '/^grey/' => 'gray',
        '/flavour/' => 'flavor',
        '/savour/' => 'savor',
        '/favour/' => 'favor',
        '/behaviour/' => 'behavior',
        '/neighbour/' => 'neighbor',
        '/aluminium/' => 'aluminum',
        '/jewell/' => 'jewel',
        '/^(?!scour|flour)(.+[bcdfghklmnprstvy])our('.
            's|ed|ing|ful|less|able|ably|ite|ites|ise|ize|ized|ised|er|ers|al|ally|y|ies|ist|ists|istic|ism)?$/' => '$1or$2',
        '/gramme/' => 'gram',
        '/^aeroplane/' => 'airplane',
        '/^cheque/' => 'check',
        '/callip/' => 'calip',
        '/^chilli/' => 'chili',
        '/^cos(y|ie|in|il)/' => 'coz$1',
        '/(ag|bing|whing|cring)eing$/' => '$1ing',
        '/^(.*[a-z])([bt])re(s)?$/' => '$1$2er$3',
        '/^(?!.*bred$)(.*[a-z])([bt])red$/' => '$1$2ered',
        '/^(mea|o)gre(s)?$/' => '$1ger$2',
        '/^ochre(s)?$/' => 'ocher$1',
        '/^manoeuv/' => 'maneuv',
        '/fibre/' => 'fiber',
        '/centre/' => 'center',
        '/litre/' => 'liter',
        '/theatre/' => 'theater',
        '/^practis/' => 'practic',
        '/^(.{3,})is(e|ed|es|er|ers|ing|ingly|able|ation|ations|ational|ement)$/' => '$1iz$2',
        '/lys(e|ed|es|er|ers|ing)$/' => 'lyz$1',
        '/^(.{3,})ogu(?:e(s)?|(ed|ing))$/' => '$1og$2$3',
        '/^(def|off|pret|lic)ence(s|d)?$/' => '$1ense$2',
        '/^(.*[aeiouy].*[aeiouy])ll(ed|ing|er|ers|or|ors|ous|ously|est|y|ment|ments)$/' => '$1l$2',
        '/^(.*[aeiouy].*[aeiouy])pp(ed|ing|er|ers)$/' => '$1p$2',
        '/^(.*[aeiouy].*[aeiouy])tt(ed|ing)$/' => '$1t$2',
        '/^(.{2,})(i|u)l(ment|ments|ful|fully|fulness)$/' => '$1$2ll$3',
        '/^(enr|inst|dist|fulf|appa|enthra)(o|i|a)?l(s)?$/' => '$1$2ll$3',
        '/ae(?=[mnrsdtog])/' => 'e',
        '/oe(?=[mdst])/' => 'e',
    ];

    /** Words that only look as if they followed those rules. */
    private const NOT_BRITISH = [
        'contour',
        'velour',
        'detour',
        'devour',
        'glamour',
        'troubadour',
        'precise',
        'concise',
        'exercise',
        'merchandise',
        'surprise',
        'promise',
        'premise',
        'franchise',
        'disguise',
        'turquoise',
        'tortoise',
        'porpoise',
        'paradise',
        'expertise',
        'treatise',
        'advise',
        'advised',
        'revise',
        'revised',
        'devise',
        'devised',
        'supervise',
        'televise',
        'improvise',
        'compromise',
        'enterprise',
        'otherwise',
        'likewise',
        'clockwise',
        'praise',
        'cruise',
        'bruise',
    ];

    /** Words whose spelling is kept at hand. */
    private const REMEMBERED = 20000;

    /** A word in one spelling for the UK and the US. It serves as a key, and need not be a word itself. */
    public static function american(string $word): string
    {
        /** @var array<string, string> $known */
        static $known = [];
        /** @var array<string, string>|null $shipped */
        static $shipped = null;
        /** @var array<string, string> $told */
        $told = $shipped ??= require __DIR__.'/spelling-variants.php';
        if (isset($known[$word])) {
            return $known[$word];
        }
        if (count($known) >= self::REMEMBERED) {
            $known = [];
        }
        foreach (['', 's', 'es', 'ed', 'd', 'ing'] as $ending) {
            $stem = $ending === '' ? $word : (str_ends_with($word, $ending) ? substr($word, 0, -strlen($ending)) : null);
            if ($stem !== null && isset($told[$stem])) {
                // centred, centered
                return $known[$word] = $told[$stem].($ending === 'd' && ! str_ends_with($told[$stem], 'e') ? 'ed' : $ending);
            }
        }
        if (
            strlen($word) < 5 ||
            in_array($word, self::NOT_BRITISH, true) ||
            in_array(rtrim($word, 's'), self::NOT_BRITISH, true)
        ) {
            return $known[$word] = $word;
        }

        return $known[$word] = (string) preg_replace(array_keys(self::AMERICAN), array_values(self::AMERICAN), $word);
    }

    /** Plurals that follow no rule (general knowledge). */
    private const IRREGULAR = [
        'leaves' => 'leaf',
        'shelves' => 'shelf',
        'knives' => 'knife',
        'halves' => 'half',
        'loaves' => 'loaf',
        'scarves' => 'scarf',
        'wolves' => 'wolf',
        'calves' => 'calf',
        'lives' => 'life',
        'wives' => 'wife',
        'thieves' => 'thief',
        'hooves' => 'hoof',
        'children' => 'child',
        'feet' => 'foot',
        'teeth' => 'tooth',
        'geese' => 'goose',
        'mice' => 'mouse',
    ];

    /** An English noun in the singular; what is none stays. */
    public static function singular(string $word): string
    {
        return self::IRREGULAR[$word] ??
            match (true) {
                strlen($word) < 4 || preg_match('/(ss|us|is|ous)$/', $word) === 1 => $word,
                preg_match('/^(.+)ies$/', $word, $part) === 1 && strlen($part[1]) > 1 => $part[1].'y',
                preg_match('/^(.+(?:s|x|z|ch|sh))es$/', $word, $part) === 1 => $part[1],
                str_ends_with($word, 's') => substr($word, 0, -1),
                default => $word,
            };
    }
}
