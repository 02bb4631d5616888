<?php

declare(strict_types=1);

namespace App\Settings;

use App\Models\Setting;
use App\Support\LookedUp;
use DateTimeZone;
use Lokum\Quantity\UnitTable;
use PDOException;
use ResourceBundle;

/** The shop as its managers have set it up. What they have not said is as the environment says, or as usual. */
final readonly class Shop
{
    public const AFTER_READINGS = 'after readings';

    /** Per cent that a term may lose, as usual. */
    public const LOSS = 20;

    /**
     * @param  string|null  $mark  name of a picture
     * @param  string  $language  of numbers and of the order of letters, BCP 47
     * @param  string  $currency  of prices that come without one, ISO 4217
     * @param  string  $timezone  name in the IANA database
     * @param  int  $editions  so many of the newest keep their files
     * @param  int  $editionsMegabytes  that these files may take together, in 10⁶ bytes; 0: as many as there are
     * @param  int  $days  after which the files of deliveries that were read go; 0: they stay
     * @param  string  $publishes  when editions are published by themselves: "" never, "after readings", or times
     * @param  int  $loss  per cent of its products that a term may lose when nobody looks, 0 to 100
     * @param  list<string>  $reportsTo  e-mail addresses that get the night's report
     * @param  string  $reportsAt  when
     * @param  string  $units  of its own, one a line, as OwnUnit reads them
     * @param  string|null  $pictures  whose drawings stand for products: "demo", or nobody's
     */
    public function __construct(
        public string $name,
        public string $line,
        public ?string $mark,
        public string $language,
        public string $currency,
        public string $timezone,
        public Taxes $taxes,
        public int $editions,
        public int $editionsMegabytes,
        public int $days,
        public ?string $pictures,
        public string $publishes,
        public int $loss,
        public array $reportsTo,
        public string $reportsAt,
        public string $units,
    ) {
    }

    /** @param  array<string, mixed>  $said */
    public static function from(array $said): self
    {
        $text = fn (string $key, string $usual): string => is_string($said[$key] ?? null) && $said[$key] !== '' ? $said[$key] : $usual;

        return new self(
            name: $text('name', 'Your shop'),
            line: $text('line', ''),
            mark: $text('mark', '') ?: null,
            language: $text('language', getenv('LOKUM_LOCALE') ?: 'en'),
            currency: $text('currency', getenv('LOKUM_CURRENCY') ?: 'EUR'),
            timezone: $text('timezone', 'UTC'),
            taxes: Taxes::tryFrom($text('taxes', '')) ?? Taxes::Unsaid,
            editions: is_int($said['editions'] ?? null) ? $said['editions'] : 5,
            editionsMegabytes: is_int($said['editions_mb'] ?? null) ? $said['editions_mb'] : 0,
            days: is_int($said['days'] ?? null) ? $said['days'] : 0,
            pictures: $text('pictures', '') ?: null,
            publishes: $text('publishes', ''),
            reportsTo: array_values(array_filter(preg_split('/[\s,;]+/', $text('reports_to', '')) ?: [])),
            reportsAt: $text('reports_at', '07:00'),
            units: $text('units', ''),
            loss: is_int($said['loss'] ?? null) ? $said['loss'] : self::LOSS,
        );
    }

    public static function current(): self
    {
        try {
            return app(LookedUp::class)->of(
                'shop',
                fn (): self => self::from(Setting::query()->first()->said ?? []),
            );
        } catch (PDOException) {
            // Before the tables are there, and for a catalog of the version before that is only looked at.
            return self::from([]);
        }
    }

    /** What asks for language and currency without knowing of settings gets what is set. */
    public static function apply(): void
    {
        $shop = self::current();
        config([
            'lokum.locale' => $shop->language,
            'lokum.currency' => $shop->currency,
            'lokum.timezone' => $shop->timezone,
        ]);
        UnitTable::with($shop->units);
    }

    /** Its name with what stands behind it, as titles of pages have it. */
    public function fullName(): string
    {
        return trim("{$this->name} {$this->line}");
    }

    /** @return array<string, string> languages that numbers and letters can follow, by tag, in English */
    public static function languages(): array
    {
        $names = [];
        foreach (ResourceBundle::getLocales('') ?: [] as $locale) {
            $tag = str_replace('_', '-', $locale);
            $name = \Locale::getDisplayName($locale, 'en');
            if (is_string($name) && preg_match('/^[a-z]{2,3}(-[A-Z]{2})?$/D', $tag) === 1) {
                $names[$tag] = $name;
            }
        }
        asort($names);

        return $names;
    }

    /** @return array<string, string> currencies by ISO 4217 code, in English */
    public static function currencies(): array
    {
        $names = [];
        $bundle = ResourceBundle::create('en', 'ICUDATA-curr')?->get('Currencies');
        foreach ($bundle instanceof ResourceBundle ? $bundle : [] as $code => $currency) {
            $name = $currency instanceof ResourceBundle ? $currency->get(1) : null;
            // Those of the past carry their years: "German Mark (1948–1990)" has none in CLDR, but no country pays with it.
            if (is_string($name) && is_string($code) && preg_match('/^[A-WYZ][A-Z]{2}$/D', $code) === 1 && ! str_contains($name, '(')) {
                $names[$code] = $name;
            }
        }
        asort($names);

        return $names;
    }

    /** @return list<string> */
    public static function timezones(): array
    {
        return DateTimeZone::listIdentifiers();
    }
}
