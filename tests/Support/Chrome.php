<?php

declare(strict_types=1);

namespace Tests\Support;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use RuntimeException;
use Symfony\Component\Process\Process;

/** One headless Chromium for a whole test run. */
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

    public static function open(bool $scripts = true): RemoteWebDriver
    {
        $port = self::driver();
        $options = new ChromeOptions();
        $options->addArguments([
            ...self::ARGUMENTS,
            '--user-data-dir='.sys_get_temp_dir().'/lokum-chrome-'.bin2hex(random_bytes(6)),
        ]);
        if (! $scripts) {
            $options->setExperimentalOption('prefs', ['profile.managed_default_content_settings.javascript' => 2]);
        }
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $browser = RemoteWebDriver::create("http://127.0.0.1:{$port}", $capabilities, 60_000, 60_000);
        // The window has a frame in some versions; what counts is the page.
        self::resize($browser, 1280, 800);

        return $browser;
    }

    public static function resize(RemoteWebDriver $browser, int $width, int $height): void
    {
        $browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', [
            'cmd' => 'Emulation.setDeviceMetricsOverride',
            'params' => [
                'width' => $width,
                'height' => $height,
                'deviceScaleFactor' => 1,
                'mobile' => false,
            ],
        ]);
    }

    private static function driver(): int
    {
        static $port = 0;
        if (self::$driver === null) {
            $port = Site::freePort();
            self::$driver = new Process(['chromedriver', "--port={$port}"]);
            self::$driver->disableOutput();
            self::$driver->start();
            register_shutdown_function(fn () => self::$driver?->stop(1));
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
