<?php

declare(strict_types=1);

use App\Guide\GuidePage;
use Illuminate\Support\Facades\Route;

/* The guide tells the truth: what it names is there, and where it leads is something. */

/** @return list<string> */
function guideSlugs(): array
{
    return array_map(
        fn (string $file): string => (string) preg_replace('/^\d+-/', '', basename($file, '.md')),
        glob(dirname(__DIR__, 3).'/docs/guide/*.md') ?: [],
    );
}

beforeEach(fn () => $this->actingAs($this->person()));

test('every page is served, with links and pictures that lead somewhere', function (string $slug): void {
    $page = $this->get("/guide/{$slug}")->assertOk();
    $article = (string) strstr((string) strstr((string) $page->content(), '<article'), '</article>', true);
    preg_match_all('#(?:href|src)="([^"]+)"#', $article, $led);
    foreach ($led[1] as $address) {
        $this->get($address)->assertOk();
    }
    expect($article)->toContain('<p>')->not->toContain('.md"')->not->toContain('../');
})->with(guideSlugs());

test('every button, heading and room that a page names is one of Lokum\'s', function (string $slug): void {
    $views = '';
    foreach ([resource_path('views'), app_path()] as $folder) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
            $views .= mb_strtolower((string) preg_replace('/\s+/', ' ', (string) file_get_contents((string) $file)));
        }
    }
    preg_match_all('/\*\*(.+?)\*\*/', GuidePage::all()[$slug]->markdown, $named);
    foreach ($named[1] as $name) {
        expect(str_contains($views, mb_strtolower(addslashes(rtrim($name, '.')))))->toBeTrue("Nothing is called {$name}.");
    }
})->with(guideSlugs());

test('every key that a page names does something', function (): void {
    $views = (string) shell_exec('cat '.resource_path('views').'/*/*.blade.php '.resource_path('js').'/*.js');
    foreach (GuidePage::all() as $page) {
        preg_match_all('/`([A-Z\/])`/', $page->markdown, $keys);
        foreach (array_unique($keys[1]) as $key) {
            expect(str_contains($views, 'key="'.strtolower($key).'"'))->toBeTrue("{$key} does nothing.");
        }
    }
});

test('each room leads to its page, and pages are found by their words', function (): void {
    foreach (Route::getRoutes()->getRoutesByName() as $name => $route) {
        expect(GuidePage::all())->toHaveKey(GuidePage::forRoom((string) $name));
    }
    $this->get('/feeds')->assertSee('/guide/deliveries', false);
    $this->get('/guide?q=newcomer+policy')->assertOk()->assertSee('Decide on newcomers')->assertDontSee('Fill gaps</a>', false);
    $this->get('/guide?q=xyzzy')->assertSee('No page has all of these words');
    $this->get('/guide/nothing')->assertNotFound();
    $this->get('/guide/pictures/nothing')->assertNotFound();
    $this->get('/search?q=umbrellas+gather')->assertSee('Gather values under umbrellas');
});
