<?php

declare(strict_types=1);

namespace Tests\Support;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\WebDriverException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use RuntimeException;
use stdClass;
use Symfony\Component\Process\Process;
use Throwable;

/** Headless Chromium for a whole test run: one driver, and for each person a browser that remembers nobody else. */
final class Chrome
{
    /** The browser without its own windows, panels and sync, which took half of the processor. */
    private const WINDOWLESS = '/usr/lib/chromium/chromium-headless-shell';

    private const ARGUMENTS = [
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

    /** @var array<string, RemoteWebDriver> browsers that somebody sits at, by session */
    private static array $open = [];

    /** @var list<RemoteWebDriver> browsers that wait for the next person: to start one takes as long as three pages */
    private static array $free = [];

    public static function open(bool $scripts = true): RemoteWebDriver
    {
        $browser = $scripts ? array_pop(self::$free) ?? self::start() : self::start();
        self::$open[(string) $browser->getSessionID()] = $browser;
        if (! $scripts) {
            self::tell($browser, 'Emulation.setScriptExecutionDisabled', ['value' => true]);
        }
        // The window has a frame in some versions; what counts is the page.
        self::resize($browser, 1280, 800);

        return $browser;
    }

    /** @param  bool  $scripts  as it was opened: one without them is for nobody else */
    public static function close(RemoteWebDriver $browser, bool $scripts): void
    {
        if (isset(self::$open[(string) $browser->getSessionID()])) {
            unset(self::$open[(string) $browser->getSessionID()]);
            if (! $scripts) {
                self::quit($browser);

                return;
            }
            try {
                self::forget($browser);
                self::$free[] = $browser;
            } catch (WebDriverException) {
                // Nobody else should find it as it was left.
                self::quit($browser);
            }
        }
    }

    /** Leaves nothing of who sat there: what pages keep, cookies, where it has been, what it complained of. */
    private static function forget(RemoteWebDriver $browser): void
    {
        $browser->executeScript('localStorage.clear(); sessionStorage.clear()');
        // What the page was still asking for might set a cookie again.
        $browser->get('about:blank');
        self::tell($browser, 'Network.clearBrowserCookies', new stdClass());
        self::tell($browser, 'Page.resetNavigationHistory', new stdClass());
        $browser->manage()->getLog('browser');
    }

    private static function quit(RemoteWebDriver $browser): void
    {
        try {
            $browser->quit();
        } catch (Throwable) {
            // It has ended by itself.
        }
    }

    private static function start(): RemoteWebDriver
    {
        $port = self::driver();
        $options = new ChromeOptions();
        if (is_executable(self::WINDOWLESS)) {
            $options->setBinary(self::WINDOWLESS);
            $options->addArguments(self::ARGUMENTS);
        } else {
            $options->addArguments(['--headless=new', ...self::ARGUMENTS]);
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

    /** Before any page of the address is open. */
    public static function keepCookie(RemoteWebDriver $browser, string $address, string $name, string $value): void
    {
        self::tell($browser, 'Network.setCookie', [
            'url' => $address,
            'name' => $name,
            'value' => $value,
            'httpOnly' => true,
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
        array_map(self::quit(...), [...self::$open, ...self::$free]);
        [self::$open, self::$free] = [[], []];
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
