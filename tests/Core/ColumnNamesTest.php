<?php

declare(strict_types=1);

use Lokum\Feed\ColumnName;

/* Which column is the sku, the price and so on, by what suppliers call it. Common practice in feeds, no source. */

const USUAL_HEADINGS = [
    'sku' => 'SKU|sku|Item number|ITEM NO.|Article_Number|Article No|art. no.|Stock Keeping Unit|item-code|Item ID|Product Code|'.
        'Product number|product_no|Product ID|Part Number|Part no.|ArtNr|Artikelnummer|Artikelnr.|Artikel-Nr.|Art.-Nr.|Bestellnummer|'.
        'Reference|Ref.|Référence article|Code article|Referencia|Código|Codice|Codice articolo|Artikelcode',
    'parent_sku' => 'parent_sku|Parent SKU|Parent|Parent item|Parent article|Parent item no.|Parent Art. No.|Hauptartikel|Vaterartikel',
    'name' => 'Name|Title|Product name|Product_Title|Item name|Bezeichnung|Artikelbezeichnung|Produktname|Artikelname|Titel|Désignation|'.
        'Libellé|Nom|Nom du produit|Nombre|Nombre del producto|Nome|Nome prodotto|Naam|Productnaam|Omschrijving kort',
    'category' => 'Category|Category path|Product category|Shop-Category|Kategorie|Warengruppe|Produktgruppe|Catégorie|'.
        'Categoría|Productgroep',
    'brand' => 'Brand|Brand name|Marke|Hersteller|Marque|Fabricant|Marca|Fabricante|Produttore|Merk',
    'price' => 'Price|Unit price|Retail Price|RRP|Preis|Verkaufspreis|VK|UVP|Prix|Prix de vente|Precio|Prezzo|Prijs',
    'currency' => 'Currency|Währung|Devise|Moneda|Valuta',
    'stock' => 'Stock|Stock level|Stock qty|Stock quantity|Qty|Qty in stock|Quantity available|Available quantity|On hand|Inventory|'.
        'In stock qty|Quantity in stock|Bestand|Lagerbestand|Verfügbar|Quantité en stock|Existencias|Giacenza|Voorraad',
    'description' => 'Description|Long description|Product description|Beschreibung|Artikelbeschreibung|Langtext|Descripción|Descrizione|'.
        'Omschrijving|Beschrijving',
    'image' => 'Image|Picture|Image URL|Bild|Bild-URL|Image produit|Imagen|Immagine|Afbeelding',
];

/** @return array<string, array{0: string, 1: string}> */
function usualHeadings(): array
{
    $cases = [];
    foreach (USUAL_HEADINGS as $column => $headings) {
        foreach (explode('|', $headings) as $heading) {
            $cases["{$heading}: {$column}"] = [$heading, $column];
        }
    }

    return $cases;
}

test('what suppliers call a column leads to it, and to no other', function (string $heading, string $column): void {
    $headings = ['Finish', $heading, 'Color'];
    foreach (ColumnName::KNOWN as $known) {
        expect(ColumnName::amongHeadings($known, $headings))->toBe($known === $column ? 1 : null, $known);
    }
})->with(usualHeadings());

test('every column that is known by name is known by others as well', function (): void {
    expect(array_keys(USUAL_HEADINGS))->toBe(ColumnName::KNOWN);
});

test('only the name itself names a column outright', function (string $heading, ?string $column): void {
    expect(ColumnName::of($heading))->toBe($column);
})->with([
    ['Parent-SKU', 'parent_sku'],
    [' PARENT  SKU ', 'parent_sku'],
    ['parent_sku', 'parent_sku'],
    ['_Stock_', 'stock'],
    ['Item number', null],
    ['SKU 2', null],
    ['', null],
]);

test('a heading with the name itself comes before others, wherever it stands, and of others the first', function (): void {
    expect(ColumnName::amongHeadings('sku', [4 => 'Item no', 7 => 'Art. no.', 9 => 'sku']))
        ->toBe(9)
        ->and(ColumnName::amongHeadings('sku', [4 => 'Item no', 7 => 'Art. no.']))
        ->toBe(4)
        ->and(ColumnName::amongHeadings('sku', ['Color', 'Size']))
        ->toBeNull()
        ->and(ColumnName::amongHeadings('finish', ['Finish']))
        ->toBeNull()
        // A part of a usual heading is none.
        ->and(ColumnName::amongHeadings('sku', ['Artist']))
        ->toBeNull()
        ->and(ColumnName::amongHeadings('stock', ['Quantity in set']))
        ->toBeNull();
});

test("the shop's currency behind a price says nothing new", function (string $heading, bool $isPrice): void {
    expect(ColumnName::amongHeadings('price', ['x', $heading], ['EUR', '€']))->toBe($isPrice ? 1 : null);
})->with([
    ['Price (EUR)', true],
    ['Price [EUR]', true],
    ['price(eur) ', true],
    ['Price EUR', true],
    ['Price in EUR', true],
    ['Preis in €', true],
    ['Preis €', true],
    ['Retail price (€)', true],
    ['PriceEUR', false],
    ['Price (USD)', false],
    ['Price (EUR) old', false],
    ['EUR', false],
    ['(EUR)', false],
]);

test('a currency is set aside behind a price alone, and only where one is said', function (): void {
    expect(ColumnName::amongHeadings('stock', ['Stock (EUR)'], ['EUR']))
        ->toBeNull()
        ->and(ColumnName::amongHeadings('price', ['Price (EUR)']))
        ->toBeNull()
        ->and(ColumnName::amongHeadings('price', ['Price (a.b)'], ['a.b']))
        ->toBe(0)
        ->and(ColumnName::amongHeadings('price', ['Price (axb)'], ['a.b']))
        ->toBeNull();
});

test('a nested name is told by its end, where that says what it is', function (): void {
    expect(ColumnName::inner(['attributes.Material', 'size.cm', 'x.y.Finish', 'plain', 'a.', '.b']))
        ->toBe(['Material', 'cm', 'Finish', 'plain', 'a.', 'b'])
        // Two that end alike stay whole, whatever their case.
        ->and(ColumnName::inner(['front.Color', 'back.color', 'x.Color ']))
        ->toBe(['front.Color', 'back.color', 'x.Color '])
        ->and(ColumnName::inner(['box.Width', 'width', 'box.Depth']))
        ->toBe(['box.Width', 'width', 'Depth']);
});

test('an end that says little alone keeps what is around it', function (string $end): void {
    expect(ColumnName::inner(["material.{$end}", 'b.Finish']))->toBe(["material.{$end}", 'Finish']);
})->with([
    'value',
    'Values',
    'unit',
    'amount',
    'TEXT',
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
]);
