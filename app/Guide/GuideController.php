<?php

declare(strict_types=1);

namespace App\Guide;

use Illuminate\Http\Request;
use Illuminate\View\View;
use League\CommonMark\Environment\Environment;
use League\CommonMark\Extension\CommonMark\CommonMarkCoreExtension;
use League\CommonMark\Extension\Table\TableExtension;
use League\CommonMark\MarkdownConverter;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** The guide, as it is written in docs/guide. */
final class GuideController
{
    private const PICTURES = 'docs/screenshots';

    public function show(Request $request, string $slug = 'begin'): View
    {
        $words = preg_split('/\s+/u', trim($request->string('q')->toString()), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $pages = GuidePage::all();
        $page = $pages[$slug] ?? abort(404);

        return view('guide.show', [
            'pages' => $words === [] ? array_values($pages) : GuidePage::with($words),
            'page' => $page,
            'html' => self::html((string) strstr($page->markdown, "\n")),
        ]);
    }

    public function picture(string $picture): BinaryFileResponse
    {
        $path = base_path(self::PICTURES."/{$picture}.png");
        abort_unless(is_file($path), 404);

        return response()->file($path, ['Content-Type' => 'image/png', 'Cache-Control' => 'private, max-age=3600']);
    }

    private static function html(string $markdown): string
    {
        $environment = new Environment(['html_input' => 'escape', 'allow_unsafe_links' => false]);
        $environment->addExtension(new CommonMarkCoreExtension());
        $environment->addExtension(new TableExtension());
        $html = (new MarkdownConverter($environment))->convert($markdown)->getContent();

        // Links between files, as an editor follows them, are links between pages here.
        return (string) preg_replace(
            ['#href="(?:\d+-)([\w-]+)\.md"#', '#src="\.\./screenshots/([\w-]+)\.png"#', '#<(table)>#'],
            ['href="/guide/$1"', 'src="/guide/pictures/$1" loading="lazy"', '<$1 class="grid-table">'],
            $html,
        );
    }
}
