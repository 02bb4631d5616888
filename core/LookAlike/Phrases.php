<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Vocabulary\MonthNames;

/**
 * Turns of phrase that say the same, each brought to one (C2). They change words, not only their writing as {@see Notation} does, and
 * so are evidence of their own.
 */
final class Phrases
{
    private const COUNTED = 'pcs?|pieces?|pzs?|stk?|stuck|stuks|units?|ct|counts?|ea|each';

    private const PACK = 'packs?|pkt?|vp?e|packets?|packung|paquet|confezione';

    private const TIMES = [
        'once' => '1',
        'twice' => '2',
        'thrice' => '3',
        'one time' => '1',
        'two times' => '2',
        'three times' => '3',
    ];

    private const ROMAN = [
        'ii' => '2',
        'iii' => '3',
        'iv' => '4',
        'vi' => '6',
        'vii' => '7',
        'viii' => '8',
        'ix' => '9',
        'xi' => '11',
        'xii' => '12',
    ];

    private const ORDINAL = 'first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth';

    private const ORDINALS = [
        'first' => '1th',
        'second' => '2th',
        'third' => '3th',
        'fourth' => '4th',
        'fifth' => '5th',
        'sixth' => '6th',
        'seventh' => '7th',
        'eighth' => '8th',
        'ninth' => '9th',
        'tenth' => '10th',
    ];

    /** May to June, May/June, mai-juin, mai à juin, Mai bis Juni */
    private const FROM_MONTH_TO = '/(?<!\pL)(\pL{3,12})\.?(?: ?[-–\/] ?| (?:(?:up )?to|through|until|bis|a|au|al|tot|tot en met) )'.
        '(\pL{3,12})(?!\pL)/u';

    /** What is said of a measure behind it, and the side that it is: 122 cm deep. */
    private const SIDES = [
        'long' => 'length',
        'wide' => 'width',
        'high' => 'height',
        'tall' => 'height',
        'deep' => 'depth',
        'thick' => 'thickness',
    ];

    /** Number words by what stands behind them, so that single malt and double cream stay what they are. */
    private const MANIFOLD = [
        'single' => '1',
        'one' => '1',
        'double' => '2',
        'dual' => '2',
        'two' => '2',
        'triple' => '3',
        'three' => '3',
        'four' => '4',
        'quadruple' => '4',
        'five' => '5',
        'six' => '6',
        'eight' => '8',
        'twelve' => '12',
    ];

    private const COUNTABLE = '[a-z]{3,}ed|phase|layer|ply|wall|way|pole|axle|tier|stage|zone|speed|core|strand|string|person|burner|'.
        'handle|lever|'.
        'bowl|door|seater|drawer|ring|hole|gang|pin|wire|axis|blade|slot|wheel|button|pocket|panel|section|piece|tap';

    /** What something happens in, so many times. */
    private const SPAN = 'second|minute|hour|day|night|week|month|year|season';

    /** A side and its letter: h160, 160 cm h. */
    private const SIDE = '/^([lwhdbt]?) ?(\d[\d.,]*(?: ?(?:mm|cm|m|in|"))?) ?([lwhdbt]?)( (?:mm|cm|m|in))?$/';

    /** Orders in which sides are named by most trades (common practice; b and t as in German). */
    private const USUAL = ['lw', 'lh', 'wh', 'wd', 'lwh', 'lwd', 'wdh', 'whd', 'bh', 'bt', 'lb', 'lbh', 'bth', 'bht', 'hwd', 'hbt'];

    /** What any of the phrases has: most texts are none. */
    private const ANY = '/[\d+:\/–-]|(?:effect|optics?|appearance)$|^(?:'.self::ORDINAL.') |'.
        '(?:free|less|shaped|compatible|suitable|ready|enabled|equipped|yes|no)$|'.
        '\b(?:for|(?:left|right)?-?hand(?:ed)?|lh|rh|'.
        'wall|ip|in|eur|half|resistan(?:t|ce)|powered|via|do|don|against|after|to|through|until|bis|a|au|al|tot|'.
        'fast|quick|made|manufactured|produced|can|hand|diameter|once|twice|thrice|times?|'.
        'single|one|double|dual|two|triple|three|four|quadruple|five|six|eight|twelve|unsuitable|not|genuine|'.
        'real|pers|man|men|people|compatible|zero|ii|iii|iv|vi|vii|viii|ix|xi|xii|x)\b/u';

    private const PLAIN = [
        // magnification x5
        '/^(\pL[\pL ]*) x ?(\d{1,3})$/u' => '$2 x $1',
        // ip44 (IEC 60529)
        '/^(?:(?:ingress )?protection(?: class| type| rating| degree| index)?|(?:degree|index) of protection|ip (?:code|rating|class)):? '.
            '(?=ip ?\d)/' => '',
        // a mirror for the wall is one that hangs there
        '/^wall[- ](?:mounted|hung) (?=\pL)/u' => 'wall ',
        '/^(\pL[\pL ]*) wall[- ](?:mounted|hung)$/u' => 'wall $1',
        // sugar-free, without sugar
        '/^(\pL[\pL ]+?)[- ]free$/u' => 'without $1',
        // zero sugar
        '/^zero (?=\pL{3,}$)/u' => 'without ',
        // barbless
        '/^(\pL{3,})less$/u' => 'without $1',
        // suitable for ovens, oven compatible
        '/^(?:suitable|designed|made|intended|ideal|recommended) for (?=\pL)/u' => 'for ',
        '/^(?:for use (?:with|in|on)|compatible with) (?=\pL)/u' => 'for ',
        '/^(\pL[\pL -]+?)[- ](?:compatible|suitable|ready)$/u' => 'for $1',
        '/^unsuitable for /' => 'not for ',
        '/^not suitable for /' => 'not for ',
        // underfloor heating: yes
        '/^(\pL[\pL -]+):? yes$/u' => 'with $1',
        '/^(\pL[\pL -]+):? no$/u' => 'without $1',
        // 12 years +, 12 years and older, ab 12 years
        '/^(\d+ ?\pL*) ?\+$/u' => 'from $1',
        '/^(?:ab|a partir de|a partir du|desde|da|vanaf|starting (?:at|from)) (?=\d)/' => 'from ',
        '/^(?:bis zu|bis|jusqu\'? ?a|hasta|fino a|tot) (?=\d)/' => 'up to ',
        // 6 mm dick, where dick alone is a name
        '/(?<=\d) ?(mm|cm) (?:dick|stark)$/' => '$1 thick',
        // washable at 30 °C, 30 °C wash
        '/^wash(?:able)?(?: at)? (\d\d) ?°(?: ?c)?$/' => 'wash $1 °c',
        '/^(\d\d) ?°(?: ?c)? wash(?:able)?$/' => 'wash $1 °c',
        // max. load 150 kg
        '/^max(?:imum|\.)? (?:user )?(?:load|weight|capacity)(?: capacity)?:? (?=\d)/' => 'up to ',
        // oval-shaped
        '/^(\pL{3,})[- ]shaped$/u' => '$1',
        // 50 cycles a day, 50 cycles/day
        '/^(\d[\d.,]* ?\pL{3,}) ?(?:\/| an? | each ) ?(?='.self::SPAN.'$)/u' => '$1 per ',
        // in powder form, in pellets; what is in a wall is no wall
        '/^in (\pL+) form$/u' => '$1',
        '/^in (?=\pL{4,}(?<!s)s$)/u' => '',
        // low in sugar
        '/^(low|high|rich) in (?=\pL+$)/u' => '$1 ',
        // CE EN 795
        '/^ce[ -]+(?=en ?\d)/' => '',
        // EUR 42, the size
        '/^eur ?(?=\d\d(?:[.,]5)?$)/' => 'eu ',
        // 30#
        '/^(\d[\d.,]*) ?#$/' => '$1 lb',
        // half a dozen
        '/^half (?:a )?dozen$/' => '6 pieces',
        // wash at 60°
        '/\bwash(?:able|ed|ing)?\b.*\d\K ?°$/' => ' °c',
        // resistant to oil, oil resistance
        '/^resistan(?:t|ce) (?:to|against) (\pL[\pL ]*)$/u' => '$1 resistant',
        '/^(\pL[\pL ]*) resistance$/u' => '$1 resistant',
        '/^(\pL+) resistant (?:to|against) (\pL+)$/u' => '$2 resistant $1',
        // powered by USB, via USB
        '/^(?:powered by|via) (\pL[\pL ]*)$/u' => '$1 powered',
        // do not store above 25 °C
        '/^(?:do not|don t|not) (store|keep) (?:above|over) (?=\d)/' => '$1 under ',
        // from age 12
        '/^from ages? (?=\d)/' => 'from ',
        // against dandruff
        '/^against (\pL+)$/u' => 'anti $1',
        // 27 gears, 27-Gang
        '/^(\d{1,2})[ -]?(?:gears?|gang|vitesses|velocidades|rapporti|versnellingen|sp|speeds)$/' => '$1 speed',
        // 500 sheets/pack
        '/^(\d+ \pL{3,}s) ?(?:\/|per) ?(?:'.self::PACK.')$/u' => '$1',
        // left-handed, lh
        '/\b(left|right)[- ]?hand(?:ed)?\b/' => '$1',
        '/\blh\b/' => 'left',
        '/\brh\b/' => 'right',
        // touch dry after 1 hour
        '/(?<=\pL) (?:after|in) (?=\d[\d.,]* ?(?:h|hours?|min|minutes?|days?)$)/u' => ' ',
        // for 2 people, 2-man
        '/^(?:for )?(\d+)[- ](?:persons?|people|man|men|pers\.?)\b/' => '$1 person',
        // 1000 i.e., 1000 ui
        '/(?<=\d) ?(?:i\.? ?u\.?|i\.? ?e\.?|u\.? ?i\.?)$/' => ' iu',
        // 100% cotton, but not 100% recycled
        '/^100 ?% (?=\pL)(?!.*(?:ed|ic|al|[ai]ble)$)/u' => '',
        // quick-drying, fast dry
        '/^(?:fast|quick)[- ]dry(?:ing)?\b/' => 'quick dry',
        // +5 °c
        '/(?:^|(?<=[\pL:])) ?\+(?=\d+(?:[.,]\d+)? ?°)/u' => ' ',
        // 30 ct, 30 count, 30 st
        '/^(\d+) ?(?:'.self::COUNTED.')\.?$/' => '$1 pieces',
        // 3 times a day
        '/^(\d+) ?(?:x|times) (?:daily|(?:a|per|each) day)$/' => '$1 x daily',
        '/^(\d+) ?(?:x|times) (?:weekly|(?:a|per|each) week)$/' => '$1 x weekly',
        // 120 kg max.
        '/^(\d[\d.,]* ?\pL*),? max(?:imum)?\.?$/u' => 'up to $1',
        // pack of 25, 25 pcs/pack, 25er pack
        '/^(?:per|(?:'.self::PACK.')(?: (?:of|a|de|da|mit))?) (\d+)(?: (?:'.self::COUNTED.'))?$/' => '$1 pieces',
        '/^(\d+)(?:er)?(?: (?:'.self::COUNTED.'))? ?(?:\/|-|per|a)? ?(?:'.self::PACK.')$/' => '$1 pieces',
        // 1000 per box
        '/^(\d+)(?: (?:'.self::COUNTED.'))? ?(?:\/|per) ?(box|carton|case|bag|roll|reel|tray|set|sheet)$/' => '$2 of $1',
        // bluetooth-enabled
        '/^(\pL[\pL -]*\pL)[ -](?:enabled|equipped)$/u' => '$1',
        // made from recycled material
        '/^(?:made|manufactured|produced)(?: out)? (?:of|from|with|in) (?=\pL)/u' => '',
        // can be autoclaved, poured by hand
        '/^can be ((?:\pL+ )?\pL{3,}?)e?d$/u' => '$1able',
        '/^(\pL+ed) by hand$/u' => 'hand $1',
        // ø 7 cm x 15 cm
        '/^(?:[ø⌀]|diameter|dia) ?(?=\d[\d.,]*(?: ?\pL+)? ?x )/u' => '',
        // genuine leather
        '/^(?:genuine|real) (?=\pL)/u' => '',
        // DIN EN 1335: national editions of one European standard (CEN)
        '/\b(?:din|bs|nf|une|uni|nen|onorm) (?=en )/' => '',
        // according to EN ISO 20345, ISO 20345, EN20345
        '/^(?:acc(?:ording|\.)? to|complies with|conforms to|as per) (?=(?:en|iso|iec)\b)/' => '',
        '/\b(?:en ?)?iso ?(?=\d{3,5}\b)|\ben ?(?=\d{3,5}\b)/' => 'en ',
        // 12.5 % abv
        '/(?<=%) ?(?:vol(?:ume)?\.?|abv|alc(?:ohol)?\.?)(?: vol\.?)?$/' => ' vol',
        // sds+
        '/(?<=[\pL\d]{2})\+$/u' => ' plus',
        // 1/2" bsp (ISO 228-1)
        '/^(\d\/\d+|\d)(?:"| ?in(?:ch|\.)?)? ?bspp?$/' => 'g $1',
        '/^(\d\/\d+|\d)(?:"| ?in(?:ch|\.)?)? ?npt$/' => 'npt $1',
        // nominal diameter 12, in German NW 12 (ISO 6708)
        '/^(?:nw|nb|nominal (?:diameter|width|bore|size)) ?(?=\d)/' => 'dn ',
        // Shore A 60, 60 Shore A, Shore 60A (ISO 48-4)
        '/\bshore[ -]?([ad])[ -]?(\d{2})\b/' => '$2$1',
        '/\b(\d{2})[ -]?(?:° ?)?shore[ -]?([ad])\b/' => '$1$2',
        '/\bshore (?=\d{2} ?[ad]\b)/' => '',
        // extra strong
        '/^x-(?=\pL{4})/u' => 'extra ',
        // 30 pages/min
        '/(?<=\pL)\/min$/u' => ' per minute',
        '/^(\d+) ?ppm$/' => '$1 pages per minute',
        // 600 x 600 dpi
        '/^(\d+) ?x ?\1 (?=dpi$)/' => '$1 ',
        // moisture below 20 %, < 20 % moisture
        '/\b(?:below|less than|fewer than)(?= \d)|<(?= ?\d)/' => 'under',
        '/\b(?:above|more than)(?= \d)|>(?= ?\d)/' => 'over',
        // under 20 % moisture, moisture under 20 %
        '/^(under|over|up to|from) (\d[\d.,]* ?%) (\pL[\pL ]*)$/u' => '$3 $1 $2',
        // 1st, 2nd
        '/(?<![\d.,])(\d{1,2})(?:st|nd|rd) (?=\pL{3})/u' => '$1th ',
        // stone effect, stone optic
        '/(?<=\pL )(?:effect|optics?|appearance)$/u' => 'look',
        // 1 x CR2032, AA x 2
        '/^1 ?x (?=\pL+\d)/u' => '',
        '/^(\pL{2,5}(?:\d{3,})?) ?x ?(\d{1,2})$/u' => '$2 $1',
        // 4 x HDMI, but 3 x daily
        '/^(\d{1,2}) ?x (?=\pL{2})(?!daily|weekly|monthly|yearly|per |a |an )/u' => '$1 ',
        // 72 dB(A)
        '/(?<=\d) ?db ?a$/' => ' db',
        // 12 v=, 16 v~
        '/(?<=\d)( ?)v ?[=⎓]$/u' => '$1v dc',
        '/(?<=\d)( ?)v ?~$/' => '$1v ac',
    ];

    /** @param  string  $letters  strict key */
    public static function of(string $letters): string
    {
        if (preg_match(self::ANY, $letters) !== 1) {
            return $letters;
        }
        $text = (string) preg_replace(array_keys(self::PLAIN), array_values(self::PLAIN), $letters);
        $text = (string) preg_replace_callback(
            '/^('.implode('|', array_keys(self::TIMES)).') (?=daily|weekly|a |per )/',
            fn (array $part): string => self::TIMES[$part[1]].' x ',
            $text,
        );
        $text = (string) preg_replace(
            ['/^(\d+) x (?:a|per) (day|week)$/', '/^1 x daily$/', '/^1 x weekly$/'],
            ['$1 x $2', 'daily', 'weekly'],
            $text,
        );
        $text = (string) preg_replace(['/^(\d+) x day$/', '/^(\d+) x week$/'], ['$1 x daily', '$1 x weekly'], $text);
        $text = (string) preg_replace_callback(
            '/(?<=\pL )('.implode('|', array_keys(self::ROMAN)).')\b/u',
            fn (array $part): string => self::ROMAN[$part[1]],
            $text,
        );

        $text = (string) preg_replace_callback(
            '/^('.self::ORDINAL.')(?= \pL{3})/u',
            fn (array $part): string => self::ORDINALS[$part[1]],
            $text,
        );
        $text = (string) preg_replace_callback(
            '/(?<=\d) ?(mm|cm|m|in|") ('.implode('|', array_keys(self::SIDES)).')$/',
            fn (array $part): string => $part[1].' '.self::SIDES[$part[2]],
            $text,
        );

        $text = (string) preg_replace_callback(self::FROM_MONTH_TO, self::months(...), $text);

        return self::sides((string) preg_replace_callback(
            '/^('.implode('|', array_keys(self::MANIFOLD)).'|\d{1,2})[- ](?=(?:'.self::COUNTABLE.')s?\b)/',
            fn (array $part): string => (self::MANIFOLD[$part[1]] ?? $part[1]).' ',
            $text,
        ));
    }

    /** @param  array<string>  $part  two words, with what stands between them */
    private static function months(array $part): string
    {
        [$from, $to] = [MonthNames::known($part[1]), MonthNames::known($part[2])];

        return $from === null || $to === null ? $part[0] : "month {$from} to {$to}";
    }

    /** Sides without the letters that name them, where these stand in their usual order: W60 x H160 cm, 60 cm (W) x 160 cm (H). */
    private static function sides(string $text): string
    {
        $letters = '';
        $sides = [];
        foreach (preg_split('/[x×]/u', $text) ?: [] as $side) {
            if (preg_match(self::SIDE, trim($side), $part) !== 1 || strlen($part[1].$part[3]) !== 1) {
                return $text;
            }
            $letters .= $part[1].$part[3];
            $sides[] = $part[2].($part[4] ?? '');
        }

        return in_array($letters, self::USUAL, true) ? implode(' x ', $sides) : $text;
    }
}
