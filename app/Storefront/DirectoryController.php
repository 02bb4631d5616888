<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Editions\EditionAttribute;
use App\Editions\EditionFile;
use App\Editions\EditionTerm;
use App\Editions\Served;
use App\Support\Pictures;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\View\View;
use Normalizer;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Pages of values that have one, such as brands: a directory from A to Z, and each with its picture, description and products. */
final class DirectoryController
{
    public function index(Request $request, string $attribute): View|Response|RedirectResponse
    {
        $served = Served::of($request);
        if ($served->isBeforeTheFirst()) {
            return response()->view('shop.closed');
        }
        $edition = $served->file();
        $leads = $edition->endedAttributes()[$attribute] ?? null;
        if ($leads !== null) {
            return redirect()->route('shop.directory', $leads, 301);
        }
        $found = $this->attribute($edition, $attribute);
        $pages = $edition->pages($found);
        $letters = [];
        foreach ($edition->terms($found) as $id => $term) {
            $letters[$this->letter($term)][] = ['term' => $term, 'page' => $pages[$id] ?? null];
        }
        uksort($letters, fn (string $a, string $b): int => [$a === '#', $a] <=> [$b === '#', $b]);

        return view('shop.directory', ['attribute' => $found, 'letters' => $letters]);
    }

    public function show(Request $request, string $attribute, string $slug): Response|RedirectResponse
    {
        $served = Served::of($request);
        if ($served->isBeforeTheFirst()) {
            return response()->view('shop.closed');
        }
        $edition = $served->file();
        $leads = $edition->endedAttributes()[$attribute] ?? null;
        if ($leads !== null) {
            return redirect()->route('shop.value', [$leads, $slug], 301);
        }
        $found = $this->attribute($edition, $attribute);
        $terms = array_filter($edition->terms($found), fn (EditionTerm $term): bool => $term->slug === $slug);
        if ($terms === []) {
            $leads = $edition->redirect($found, $slug) ?? abort(404);

            return redirect()->route('shop.value', [$attribute, $leads], 301);
        }
        $term = reset($terms);

        return Listing::answer($request, fn (): ShopPage => ShopPage::ofValue($found, $term), 'shop.value', [
            'attribute' => $found,
            'term' => $term,
            'about' => $edition->pages($found)[$term->id] ?? null,
        ]);
    }

    public function picture(string $name): BinaryFileResponse
    {
        $path = Pictures::path($name);
        abort_unless(is_file($path), 404);

        return response()->file($path, [
            'Content-Type' => 'image/webp',
            'Cache-Control' => 'public, max-age=31536000, immutable',
        ]);
    }

    private function attribute(EditionFile $edition, string $slug): EditionAttribute
    {
        return array_column($edition->directories(), null, 'slug')[$slug] ?? abort(404);
    }

    private function letter(EditionTerm $term): string
    {
        $first = mb_strtoupper(mb_substr((string) Normalizer::normalize($term->label, Normalizer::FORM_KD), 0, 1));

        return preg_match('/\p{L}/u', $first) === 1 ? $first : '#';
    }
}
