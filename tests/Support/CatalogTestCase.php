<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Data\Setup;
use App\Editions\CountPage;
use App\Editions\EditionAttribute;
use App\Editions\Picks;
use App\Editions\Served;
use App\Feeds\ReadFeed;
use App\Feeds\ReadingFigures;
use App\Models\Definition;
use App\Models\Edition;
use App\Models\Reading;
use App\Models\Role;
use App\Models\User;
use App\Publishing\Publish;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase;
use Lokum\Feed\ColumnMap;

/** A test with a catalog of its own: an empty one on disk, migrated once for the whole run and copied for each test. */
abstract class CatalogTestCase extends TestCase
{
    // What single files keep from one step to the next.
    public Reading $reading;

    public Definition $color;

    public string $token;

    /** @var array{body: string, signature: string, secret: string} */
    public array $notice;

    private static ?string $template = null;

    private string $data;

    public function createApplication(): Application
    {
        $this->data = sys_get_temp_dir().'/lokum-test-'.bin2hex(random_bytes(6));
        if (self::$template === null) {
            self::$template = sys_get_temp_dir().'/lokum-template-'.bin2hex(random_bytes(6));
            $this->boot(self::$template);
            register_shutdown_function(fn () => exec('rm -rf '.escapeshellarg((string) self::$template)));
        }
        exec('cp -r '.escapeshellarg(self::$template).' '.escapeshellarg($this->data));

        return $this->boot($this->data);
    }

    protected function tearDown(): void
    {
        parent::tearDown();
        exec('rm -rf '.escapeshellarg($this->data));
    }

    public function data(): string
    {
        return $this->data;
    }

    /** Reads CSV text as a feed. */
    public function read(
        string $csv,
        string $map = '{}',
        bool $check = false,
        string $feed = 'Test',
        bool $goodRows = true,
    ): ReadingFigures {
        $file = Acts::file($csv);

        return $this->app->make(ReadFeed::class)($file, $feed, ColumnMap::fromJson($map), $check, fn () => null, $goodRows);
    }

    public function publish(): Edition
    {
        return $this->app->make(Publish::class)(fn () => null);
    }

    /**
     * Counts from the current edition: products, and what stands beside each term.
     *
     * @return array{0: int, 1: array<string, array<string, int>>}
     */
    public function counts(Picks $picks = new Picks(), ?string $category = null): array
    {
        $edition = Served::now()->file();
        $page = new CountPage(
            $edition,
            $category === null ? null : $edition->category($category),
            $picks,
            array_map(fn (EditionAttribute $attribute): string => $attribute->slug, $edition->attributes()),
        );
        $counts = [];
        foreach ($page->counter->counts() as $slug => $terms) {
            $attribute = $edition->attribute((string) $slug);
            foreach ($attribute === null ? [] : $edition->terms($attribute) as $id => $term) {
                $counts[$slug][$term->slug] = $terms[$id];
            }
        }

        return [$page->matching()->count(), $counts];
    }

    public function person(Role $role = Role::Manager): User
    {
        return User::query()->create([
            'name' => 'Test Person',
            'email' => bin2hex(random_bytes(4)).'@example.test',
            'password' => 'a-long-password',
            'role' => $role,
        ]);
    }

    private function boot(string $data): Application
    {
        putenv('LOKUM_DATA='.$data);
        /** @var Application $app */
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        // Lokum has no .env; an empty one keeps the framework from looking for it in vain.
        if (! is_dir($data)) {
            mkdir($data, 0770);
        }
        touch($data.'/.env');
        $app->useEnvironmentPath($data);
        $app->make(Kernel::class)->bootstrap();
        config([
            'queue.default' => 'sync',
            'session.driver' => 'array',
            'cache.default' => 'array',
            // The least that there is: passwords of tests are no secret.
            'hashing.argon.memory' => 8,
            'hashing.argon.time' => 1,
        ]);
        Setup::ensure();

        return $app;
    }
}
