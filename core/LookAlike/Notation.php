<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** Ways of writing that say the same, brought to one before a text is read. All work on strict keys. */
final class Notation
{
    /** Bytes up to which a text is a name or a code; longer ones are sentences, and are taken as they are. */
    public const LONGEST = 200;

    /** Words up to which a text is a name. */
    public const MOST_WORDS = 7;

    /** What parts words: room, a hyphen between letters, a number and a word written together. */
    private const APART = '/:?\s+|(?<=\pL)-(?=\pL)|(?<=\d)-(?=\pL{3})|(?<=\d)(?=\pL{2,}\.?$)|'.
        '(?<=\d)(?=(?:mm|cm|km|kg|mg|ml|cl|kw|mah|ah|wh|gb|tb|mb|mp|k?hz|[mg]hz|lm|oz|lb|ft|bar|psi|rpm)\b)/u';

    private const LENGTH = '\d+(?:[.,]\d+)? ?(?:mm|cm|m|in|")$';

    /** Verbs and what belongs to them: built-in, clip on. */
    private const TOGETHER = '(built|plug|clip|snap|screw|bolt|slip|pull|push|drop|fold|roll|pop|hook|stick|iron|sew|zip|lace|flip)[ -]'.
        '(in|on|out|up|down)';

    /** Included, in other languages. */
    private const WITH = 'inkl(?:usive|\.)?|inclus(?:ief|[aeio])?|incluid[ao]s?|compris(?:es?)?|inbegrepen|meegeleverd';

    private const SIGNS = [
        // 30 ✕ 20
        '/[×✕✖]/u' => 'x',
        // DIN A4
        '/\b(?:din|iso)[ -]?(?=[abc] ?\d)/u' => '',
        // G 1/2" is a thread's name, not a length (ISO 228-1, ISO 7-1); M8 x 40 is 40 mm long (ISO 4014)
        '/^(g|r|rp|rc|npt|bsp) ?(\d+(?: \d+)?\/\d+|\d) ?(?:"|in|inch)$/u' => '$1 $2',
        '/^m ?(\d+(?:[.,]\d+)?) ?x ?(\d+)$/u' => 'm$1 x $2 mm',
        // +/- 0.02 mm; 80 degrees C; f = 2.8 mm, U = 1.4 W/m²K
        '/\+ ?\/ ?- ?|± /u' => '±',
        '/(?<=\d) ?(?:degrees?|deg\.?) ?([cf])(?:elsius|ahrenheit)?\b/' => ' °$1',
        '/^([lhwbdfu]) ?= ?(?=\d)/' => '$1 ',
        // HDMI v2.1, HDMI version 2.1; 8K@60Hz; 26 AWG
        '/(?<=\pL) (?:v|ver\.?|version|rev\.?) ?(?=\d+\.\d)/u' => ' ',
        '/ ?@ ?(?=\d)/' => ' at ',
        '/^(\d+) ?awg$/' => 'awg $1',
        // 2x AA
        '/^(\d{1,2})x (?=\pL)/u' => '$1 x ',
        // 600 den polyester, 600-denier
        '/(?<=\d)[ -]?den(?:ier)?\b/' => 'd',
        // 1/4"-20 UNC (ASME B1.1)
        '/(?<=\d)"-(?=\d+ ?un[cf])/' => '-',
        // built in, built-in
        '/\b'.self::TOGETHER.'\b/u' => '$1$2',
        // 30 by 40 cm, h 20 cm, minus 18 °C, 10pk
        '/(?<=\d) by (?=\d)/u' => ' x ',
        '/^l (?='.self::LENGTH.')/u' => 'length ',
        '/^h (?='.self::LENGTH.')/u' => 'height ',
        '/^w (?='.self::LENGTH.')/u' => 'width ',
        '/^minus (?=\d)/u' => '-',
        '/(?<=\d)pk$/u' => ' pack',
        // set of 3, 3 pc. set
        '/^set of (\d+|two|three|four|five|six|eight|ten|twelve)$/u' => '$1 piece set',
        '/^(\d+)(?:[ -](?:pcs?|pieces)|er)[ -]set$/u' => '$1 piece set',
        '/^(\d+)[ -]?(?:tlg\.?|teilig|delig)(?: set)?$/u' => '$1 piece set',
        // size: L; for men; 18 ct gold
        '/^sizes? (?=\pL{1,4}$)/u' => '',
        '/^for (?=(?:men|women|boys|girls|kids|children|adults|babies)$)/u' => '',
        '/(?<![\d.,])(\d\d?)[ -]?(?:kt|k|karat|carat|ct)(?= (?:\pL+ )?gold\b)/u' => '$1k',
        // 192 pp.
        '/(?<=\d\d) ?pp?$/u' => ' pages',
        // lid not included, excl. lid, w/o lid, free of lids
        '/^(.+?),? (?:is |are )?not incl(?:uded|\.)?$/u' => 'without $1',
        '/^(.+?),? (?:is |are )?(?:incl(?:uded|\.)?|'.self::WITH.')$/u' => 'with $1',
        '/\b(?:ex[ck]l\b\.?|excluding|exklusive|w\/o) ?(?=[\pL\d])/u' => 'without ',
        '/\b(?:incl\b\.?|including|'.self::WITH.'|w\/) ?(?=[\pL\d])/u' => 'with ',
        '/^no[ -](?=\pL{3,}$)/u' => 'without ',
        // ≤ 30 cm, max. 30 cm; ≥ 3, 3+, 3 years and up
        '/^(?:≤|<=|max(?:imum)?\.?) ?(?=\d)/u' => 'up to ',
        '/^(?:≥|>=|min(?:imum)?\.?|at least) ?(?=\d)/u' => 'from ',
        '/^< ?(?=\d)/u' => 'under ',
        '/^> ?(?=\d)/u' => 'over ',
        '/^(?:ages?|aged) (?=\d)/u' => '',
        '/^(\d+)\+ ?(?=\pL|$)/u' => 'from $1 ',
        '/^(\d+ ?\pL*)(?: and| or) (?:up|over|above|older|more)$/u' => 'from $1',
        // 2-year warranty
        '/(?<=\d)-(?=(?:years?|months?|weeks?|days?|hours?|minutes?|inch|lit(?:er|re)s?|watts?|volts?|mm|cm|kg)\b)/' => ' ',
        // 3000 min-1, 3000/min
        '/(?<=\d) ?(?:min ?-1|[ur1]\/min|\/min)$/' => ' rpm',
        // 12V/24V, 12 or 24 V; 230 V/50 Hz is two measures
        '/(?<=\d) or (?=\d+ ?(?:v|w|hz)(?!\pL))/u' => '/',
        '/(?<=\d) ?(v|w|hz)\/(?=\d[\d.,]* ?\1(?!\pL))/' => '/',
        '/(?<=\d)( ?\pL{1,3})\/(?=\d+(?:[.,]\d+)? ?\pL)/u' => '$1 ',
        // ss316, 316 ss
        '/\bss ?(?=\d{3}l?\b)|(?<=\b\d{3}) ?ss$|(?<=\b\d{3}l) ?ss$/' => ' stainless steel ',
        // 12VDC, 2.5 sq mm
        '/(?<=\d)\s?v\s?(dc|ac)\b/u' => ' v $1',
        '/(?<=\d)\s?sq\.? ?(mm|cm|m)\b/u' => ' ${1}2',
        '/(?<![\pL\pN])(\pL?\d+(?:[.,]\d+)?)x(?=\d)/u' => '$1 x ',
        '/(?<=\d)\s?(?:-|–|\bto\b)\s?(?=\d)/u' => '-',
        '/(?<=\pL)\+(?=\pL)/u' => ' & ',
        // 15 mm ø, ø 15 mm
        '/^([^ø⌀]*\d[^ø⌀]*?) ?[ø⌀]$/u' => 'diameter $1',
        '/[ø⌀]\s?(?=\d)/u' => 'diameter ',
        // gr. 52, Größe 40, taille M
        '/^(?:gr(?:osse)?|taille|talla|taglia|maat)\.? (?=(?:\d{2}|x{0,3}[sml]$))/' => '',
        // for 2 players
        '/^for (?=\d+ \pL+$)/u' => '',
        '/\b(?:no|nr|num|number|size|sz)\.?\s?(?=\d)|#\s?(?=\d)/u' => '',
        '/\bcl\.? (?=\d)/u' => 'class ',
    ];

    private const JOINED = [
        // IP 65, E-27, 12 V
        '/(?<=\pL)(?:\s|-)(?=[\pL\d])/u' => '',
        '/(?<=\d)(?:\s|-)(?=\pL)/u' => '',
        // PB 15 : 3
        '/\s*([\/:x])\s*(?=\d)/u' => '$1',
        // 1,000 pieces; 2.700 K
        '/(?<![\d.,])(\d{1,3}),(?=\d{3}(?![\d.,]))/u' => '$1',
        '/(?<![\d.,])(\d{1,3})\.(?=\d{3}(?:k|lm|mah|rpm)$)/u' => '$1',
        // 12,5 V
        '/(?<=\d),(?=\d{1,2}(?!\d))/u' => '.',
    ];

    /** Letters of a size, by what stands before "small" and "large". */
    private const SIZE = '/^(?:(?<times>\d{1,2}) ?x|(?<xs>x+)|(?<extra>(?:extra ?)+))?[ -]?'.
        '(?<size>small|sml|s|large|lge|lrg|l)(?: size)?$/';

    /** Words alone, none of which any rule is about. */
    private const PLAIN = '/^(?!(?:no|for|sizes?|set)[ -])(?!.*\b(?:incl|excl|exkl|w\/|'.self::WITH.'|'.self::TOGETHER.'))[\pL -]+$/u';

    /** 80/20 cotton/polyester */
    private const BLEND = '~^(\d{1,2}(?:/\d{1,2})+) (\pL[\pL ]*(?:/\pL[\pL ]*)+)$~u';

    /** @param  string  $letters  strict key */
    public static function plain(string $letters): string
    {
        if (strlen($letters) > self::LONGEST || preg_match(self::PLAIN, $letters) === 1) {
            return $letters;
        }
        $text = (string) preg_replace(array_keys(self::SIGNS), array_values(self::SIGNS), $letters);

        return trim((string) preg_replace_callback(self::BLEND, self::shares(...), $text));
    }

    /** A clothing size as its letters: 2x-large is xxl, medium is m. Null for what is none. */
    public static function size(string $letters): ?string
    {
        $text = (string) preg_replace('/[\s-]+/u', ' ', rtrim($letters, '.'));
        if (preg_match('/^(?:medium|med|m)(?: size)?$/', $text) === 1) {
            return 'm';
        }
        if (preg_match(self::SIZE, $text, $part) !== 1) {
            return null;
        }
        $times = $part['times'] !== '' ? (int) $part['times'] : strlen($part['xs']) + substr_count($part['extra'], 'extra');

        return str_repeat('x', min($times, 20)).$part['size'][0];
    }

    /**
     * Letters and digits without what sets them apart, so that IP 65 is IP65 and AX-100 is AX 100; numbers stay parted. Null for a
     * text without digits, or without letters.
     */
    public static function code(string $letters): ?string
    {
        if (strlen($letters) > self::LONGEST || preg_match('/\pL/u', $letters) !== 1 || preg_match('/\d/', $letters) !== 1) {
            return null;
        }
        $joined = (string) preg_replace(array_keys(self::JOINED), array_values(self::JOINED), $letters);

        return preg_match('/\pL\d|\d\pL/u', $joined) === 1 ? (string) preg_replace('/(?<=\d)[\s-](?=\d)/', '-', $joined) : $joined;
    }

    /**
     * A text and what it says in parentheses, or behind a stroke: E27 (ES), AAA / LR03.
     *
     * @param  string  $text  as it was written: strict keys have no parentheses
     * @return array{0: string, 1: string}|null as they were written
     */
    public static function glossed(string $text): ?array
    {
        return preg_match('/^([^()]+?)\s*\(([^()]+)\)\s*$/u', $text, $part) === 1 ||
            preg_match('/^([^\/]+?)\s+\/\s+([^\/]+)$/u', $text, $part) === 1
            ? [$part[1], $part[2]]
            : null;
    }

    /** @param  array<string>  $part  a blend: its shares and its parts, where these are as many and make a hundred */
    private static function shares(array $part): string
    {
        $shares = explode('/', $part[1]);
        $parts = explode('/', $part[2]);

        return count($shares) === count($parts) && array_sum(array_map(intval(...), $shares)) === 100
            ? implode(' ', array_map(fn (string $share, string $one): string => "{$share}% {$one}", $shares, $parts))
            : $part[0];
    }

    /** Whether a text is what the first letters of another's words make: LED, light emitting diode. */
    public static function areInitials(string $short, string $long): bool
    {
        $words = preg_split('/[\s-]+/u', $long) ?: [];

        return count($words) > 1 && implode('', array_map(fn (string $word): string => mb_substr($word, 0, 1), $words)) === $short;
    }

    /** @return list<string> words and numbers of a strict key, up to one more than a name has */
    public static function words(string $letters): array
    {
        return strlen($letters) > self::LONGEST
            ? []
            : array_slice(preg_split(self::APART, rtrim($letters, '.'), -1, PREG_SPLIT_NO_EMPTY) ?: [], 0, self::MOST_WORDS + 1);
    }
}
