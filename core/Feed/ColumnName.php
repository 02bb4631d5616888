<?php

declare(strict_types=1);

namespace Lokum\Feed;

use Lokum\Text\StrictKey;

/** The columns that Lokum knows by name. */
final class ColumnName
{
    public const KNOWN = ['sku', 'parent_sku', 'name', 'category', 'brand', 'price', 'currency', 'stock', 'description', 'image'];

    /** Other headings for them, offered when no column has the name itself. Common practice in feeds, no source. */
    private const OTHERS = [
        'sku' => [
            'item number',
            'item no',
            'article number',
            'article no',
            'art no',
            'stock keeping unit',
            'item code',
            'item id',
            'product code',
            'product number',
            'product no',
            'product id',
            'part number',
            'part no',
            'artnr',
            'artikelnummer',
            'artikelnr',
            'artikel nr',
            'art nr',
            'bestellnummer',
            'reference',
            'ref',
            'reference article',
            'code article',
            'referencia',
            'codigo',
            'codice',
            'codice articolo',
            'artikelcode',
        ],
        'parent_sku' => ['parent', 'parent item', 'parent article', 'parent item no', 'parent art no', 'hauptartikel', 'vaterartikel'],
        'name' => [
            'title',
            'product name',
            'product title',
            'item name',
            'bezeichnung',
            'artikelbezeichnung',
            'produktname',
            'artikelname',
            'titel',
            'designation',
            'libelle',
            'nom',
            'nom du produit',
            'nombre',
            'nombre del producto',
            'nome',
            'nome prodotto',
            'naam',
            'productnaam',
            'omschrijving kort',
        ],
        'category' => [
            'category path',
            'product category',
            'shop category',
            'kategorie',
            'warengruppe',
            'produktgruppe',
            'categorie',
            'categoria',
            'productgroep',
        ],
        'brand' => ['brand name', 'marke', 'hersteller', 'marque', 'fabricant', 'marca', 'fabricante', 'produttore', 'merk'],
        'price' => [
            'unit price',
            'retail price',
            'rrp',
            'preis',
            'verkaufspreis',
            'vk',
            'uvp',
            'prix',
            'prix de vente',
            'precio',
            'prezzo',
            'prijs',
        ],
        'currency' => ['wahrung', 'devise', 'moneda', 'valuta'],
        'stock' => [
            'stock level',
            'stock qty',
            'stock quantity',
            'qty',
            'qty in stock',
            'quantity available',
            'available quantity',
            'on hand',
            'inventory',
            'in stock qty',
            'quantity in stock',
            'bestand',
            'lagerbestand',
            'verfugbar',
            'quantite en stock',
            'existencias',
            'giacenza',
            'voorraad',
        ],
        'description' => [
            'long description',
            'product description',
            'beschreibung',
            'artikelbeschreibung',
            'langtext',
            'descripcion',
            'descrizione',
            'omschrijving',
            'beschrijving',
        ],
        'image' => ['picture', 'image url', 'bild', 'bild url', 'image produit', 'imagen', 'immagine', 'afbeelding'],
    ];

    /** Names inside records that say nothing without what is around them. Common practice, no source. */
    private const SAY_LITTLE = [
        'value',
        'values',
        'unit',
        'amount',
        'text',
        'content',
        'name',
        'label',
        'title',
        'key',
        'code',
        'id',
        'type',
        'min',
        'max',
        'from',
        'to',
    ];

    /** The known column that a heading names outright. */
    public static function of(string $heading): ?string
    {
        $name = str_replace([' ', '-'], '_', trim(str_replace('_', ' ', StrictKey::of(str_replace('_', ' ', $heading)))));

        return in_array($name, self::KNOWN, true) ? $name : null;
    }

    /**
     * Which heading holds a known column: by its name, else by another usual heading.
     *
     * @param  array<int, string>  $headings
     * @param  list<string>  $currency  what the shop's currency is called: behind a price it says nothing new, as in "Price (EUR)"
     * @return int|null key of the heading
     */
    public static function amongHeadings(string $column, array $headings, array $currency = []): ?int
    {
        if ($column === 'price' && $currency !== []) {
            $called = implode('|', array_map(fn (string $name): string => preg_quote($name, '/'), $currency));
            $headings = preg_replace("/(?<=\\S)(?:\\s*[(\\[]|\\s+(?:in\\s+)?)(?:{$called})[)\\]]?\\s*$/iu", '', $headings);
        }
        foreach ($headings as $index => $heading) {
            if (self::of($heading) === $column) {
                return $index;
            }
        }
        foreach ($headings as $index => $heading) {
            if (in_array(self::words($heading), self::OTHERS[$column] ?? [], true)) {
                return $index;
            }
        }

        return null;
    }

    /** A heading by its words, however they are set apart: Art.-Nr., art_nr, Art Nr. */
    private static function words(string $heading): string
    {
        return trim((string) preg_replace('/[\s._#-]+/u', ' ', StrictKey::of(strtr($heading, '._', '  '))));
    }

    /**
     * What headings of nested records are called: "attributes.Material" is Material, where that alone says what it is and no other
     * heading of the file says the same.
     *
     * @param  list<string>  $headings
     * @return list<string>
     */
    public static function inner(array $headings): array
    {
        $inner = array_map(fn (string $heading): string => substr((string) strrchr(".{$heading}", '.'), 1), $headings);
        $times = array_count_values(array_map(StrictKey::of(...), $inner));

        return array_map(
            fn (string $heading, string $one): string => trim($one) === '' ||
                $times[StrictKey::of($one)] > 1 ||
                in_array(StrictKey::of($one), self::SAY_LITTLE, true)
                    ? $heading
                    : $one,
            $headings,
            $inner,
        );
    }
}
