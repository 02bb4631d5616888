<?php

declare(strict_types=1);

namespace Tests\Support;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use RuntimeException;
use stdClass;
use Symfony\Component\Process\Process;
use Throwable;

/** Headless Chromium for a whole test run: who is done with a browser leaves it, clean, to the next. */
final class Chrome
{
    private const ARGUMENTS = [
        '--headless=new',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--force-prefers-reduced-motion',
        '--hide-scrollbars',
        '--window-size=1280,800',
    ];

    private static ?Process $driver = null;

    /** @var array<int, list<RemoteWebDriver>> browsers that nobody sits at, by whether they run scripts */
    private static array $idle = [[], []];

    /** @var array<string, bool> by session: whether it runs scripts, while somebody sits at it */
    private static array $busy = [];

    public static function open(bool $scripts = true): RemoteWebDriver
    {
        $browser = array_pop(self::$idle[(int) $scripts]) ?? self::start($scripts);
        self::$busy[(string) $browser->getSessionID()] = $scripts;
        // The window has a frame in some versions; what counts is the page.
        self::resize($browser, 1280, 800);

        return $browser;
    }

    /** Whoever comes next finds nothing of whoever was there: no page, no cookie, no complaint. */
    public static function takeBack(RemoteWebDriver $browser): void
    {
        $session = (string) $browser->getSessionID();
        if (! isset(self::$busy[$session])) {
            return;
        }
        try {
            $browser->get('about:blank');
            self::tell($browser, 'Network.clearBrowserCookies', new stdClass());
            $browser->manage()->getLog('browser');
            self::$idle[(int) self::$busy[$session]][] = $browser;
        } catch (Throwable) {
            // It is gone, or a question of its page stands open: the next one gets another.
        }
        unset(self::$busy[$session]);
    }

    private static function start(bool $scripts): RemoteWebDriver
    {
        $port = self::driver();
        $profile = sys_get_temp_dir().'/lokum-chrome-'.bin2hex(random_bytes(6));
        register_shutdown_function(fn () => exec('rm -rf '.escapeshellarg($profile)));
        $options = new ChromeOptions();
        $options->addArguments([...self::ARGUMENTS, '--user-data-dir='.$profile]);
        if (! $scripts) {
            $options->setExperimentalOption('prefs', ['profile.managed_default_content_settings.javascript' => 2]);
        }
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);

        return RemoteWebDriver::create("http://127.0.0.1:{$port}", $capabilities, 60_000, 60_000);
    }

    public static function resize(RemoteWebDriver $browser, int $width, int $height): void
    {
        self::tell($browser, 'Emulation.setDeviceMetricsOverride', [
            'width' => $width,
            'height' => $height,
            'deviceScaleFactor' => 1,
            'mobile' => false,
        ]);
    }

    /** @param  array<string, mixed>|stdClass  $parameters */
    private static function tell(RemoteWebDriver $browser, string $command, array|stdClass $parameters): void
    {
        $browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', [
            'cmd' => $command,
            'params' => $parameters,
        ]);
    }

    /** Before the profiles are removed, which the browsers write to until they end. */
    private static function end(): void
    {
        foreach (array_merge([], ...self::$idle) as $browser) {
            try {
                $browser->quit();
            } catch (Throwable) {
                // It has ended by itself.
            }
        }
        self::$driver?->stop(2);
    }

    private static function driver(): int
    {
        static $port = 0;
        if (self::$driver === null) {
            $port = Site::freePort();
            self::$driver = new Process(['chromedriver', "--port={$port}"]);
            self::$driver->disableOutput();
            self::$driver->start();
            register_shutdown_function(self::end(...));
            for ($i = 0; ! Site::answers("http://127.0.0.1:{$port}/status"); $i++) {
                usleep(100_000);
                if ($i > 100) {
                    throw new RuntimeException('chromedriver does not answer.');
                }
            }
        }

        return $port;
    }
}
