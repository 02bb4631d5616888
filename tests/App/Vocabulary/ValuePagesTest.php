<?php

declare(strict_types=1);

use App\Models\Value;
use App\Publishing\CurrentDrift;
use App\Support\Pictures;
use App\Support\Refused;
use App\Values\FindValue;
use App\Vocabulary\MergeValues;
use Illuminate\Http\UploadedFile;

/* Values with pages of their own: pictures by their content, the directory, the page, and where merged ones lead. */

beforeEach(
    fn () => $this->read("sku,name,brand,price\nA,Oil,Ninefold,5\nB,Ink,Östrelle,6\nC,Pad,9 Sheets,7\nD,Box,Ninefold Ltd,8\n"),
);

function picture(string $as): string
{
    $image = imagecreatetruecolor(1200, 300);
    imagefilledrectangle($image, 0, 0, 600, 300, (int) imagecolorallocate($image, 200, 30, 60));
    ob_start();
    match ($as) {
        'png' => imagepng($image),
        'jpeg' => imagejpeg($image),
        'webp' => imagewebp($image),
        default => imagegif($image),
    };

    return (string) ob_get_clean();
}

test('pictures are known by their content, made smaller and kept once', function (string $as): void {
    $name = Pictures::keep(picture($as));
    expect(getimagesize(Pictures::path($name)))
        ->toMatchArray([0 => 640, 1 => 160, 'mime' => 'image/webp'])
        ->and(Pictures::keep(picture($as)))
        ->toBe($name);
})->with(['png', 'jpeg', 'webp']);

test('what is no such picture is refused', function (Closure $bytes, string $reason): void {
    expect(fn () => Pictures::keep($bytes()))->toThrow(Refused::class, $reason)->and(glob(Pictures::path('*')))->toBe([]);
})->with([
    [fn () => '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>', 'not a PNG, JPEG or WebP'],
    [fn () => picture('gif'), 'not a PNG'],
    [fn () => '', 'not a PNG'],
    [fn () => substr(picture('png'), 0, 200), 'damaged'],
    [fn () => '<?php echo 1;', 'not a PNG'],
    [fn () => str_repeat('x', 11 << 20), 'up to 10 MB'],
]);

test('a brand has a page, stands in the directory and on its products, and a merged one leads on', function (): void {
    $this->actingAs($this->person());
    $value = fn (string $slug): Value => Value::query()->where('slug', $slug)->firstOrFail();
    $send = fn (array $input) => $this->put(
        '/values/brand/'.$value('ninefold')->id,
        ['label' => 'Ninefold', 'version' => $value('ninefold')->version] + $input,
    );
    $send([
        'description' => 'Ground <b>nine</b> times.',
        'picture' => UploadedFile::fake()->createWithContent('logo.svg', picture('png')),
    ])->assertSessionHasNoErrors();
    $send([
        'description' => 'Ground',
        'picture' => UploadedFile::fake()->createWithContent('logo.png', '<svg/>'),
    ])->assertSessionHasErrors('picture');
    $this->publish();
    $this->get('/shop/a/brand')
        ->assertOk()
        ->assertSeeInOrder(['Ninefold', 'Östrelle', '9 Sheets'])
        ->assertSee('/shop/a/brand/ninefold"', false);
    $this->get('/shop/a/brand/ninefold')
        ->assertOk()
        ->assertSee('Ground &lt;b&gt;nine&lt;/b&gt; times.', false)
        ->assertSee('/shop/p/A')
        ->assertDontSee('/shop/p/B');
    $this->get('/shop/p/A')->assertSee((string) $value('ninefold')->picture)->assertSee('/shop/a/brand/ninefold', false);
    $this->get('/pictures/'.$value('ninefold')->picture)
        ->assertOk()
        ->assertHeader('Content-Type', 'image/webp');
    $this->get('/shop/a/price')->assertNotFound();
    $this->get('/shop/a/brand/nobody')->assertNotFound();
    $this->actingAs($this->person());
    $merge = app(MergeValues::class);
    $brand = $value('ninefold')->load('definition')->definition;
    $merge($brand, $merge->plan($brand, $value('ninefold')->id, [FindValue::named($brand, 'Ninefold Ltd')->id]));
    $send(['description' => 'Changed.']);
    expect(app(CurrentDrift::class)()->differences())->toBeGreaterThan(0);
    $this->publish();
    $this->get('/shop/a/brand/ninefold-ltd')->assertRedirect('/shop/a/brand/ninefold');
    $this->get('/shop/a/brand/ninefold')->assertSee('Changed.')->assertSee('Box')->assertSee((string) $value('ninefold')->picture);
    $send(['description' => 'Changed again.']);
    expect(app(CurrentDrift::class)()->differences())->toBe(1);
});
