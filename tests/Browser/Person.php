<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Access\DemoAccount;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\Remote\UselessFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;
use RuntimeException;
use Tests\Support\Chrome;
use Tests\Support\Site;
use Throwable;

/** Someone at the browser: looks, clicks, types, and waits for what the page says. */
final class Person
{
    /** Seconds. */
    private const PATIENCE = 30.0;

    /** Microseconds between two looks at the page. */
    private const GLANCE = 50_000;

    /** Clicks, choices and files so far. */
    public int $clicks = 0;

    private RemoteWebDriver $browser;

    private bool $hasLeft = false;

    public function __construct(public readonly Site $site, private readonly bool $scripts = true)
    {
        $this->browser = Chrome::open($scripts);
    }

    /** Is let in as by the form, without having looked at it or at any page yet. */
    public function signIn(int $account = 0): self
    {
        foreach ($this->site->letIn(DemoAccount::all()[$account]) as $name => $cookie) {
            Chrome::keepCookie($this->browser, $this->site->address, $name, $cookie);
        }

        return $this;
    }

    public function signInByForm(): self
    {
        $who = DemoAccount::all()[0];
        $this->open('/sign-in')->type('#email', $who->email)->type('#password', $who->password)->press('Sign in');

        return $this->see('Sign out');
    }

    public function open(string $path): self
    {
        $this->browser->get($this->site->address.$path);

        return $this;
    }

    public function resize(int $width, int $height): self
    {
        Chrome::resize($this->browser, $width, $height);

        return $this;
    }

    public function back(): self
    {
        $this->browser->navigate()->back();

        return $this;
    }

    public function forward(): self
    {
        $this->browser->navigate()->forward();

        return $this;
    }

    public function reload(): self
    {
        $this->browser->navigate()->refresh();

        return $this;
    }

    public function address(): string
    {
        return urldecode(substr($this->browser->getCurrentURL(), strlen($this->site->address)));
    }

    /** Waits until the browser is at an address. */
    public function at(string $address): self
    {
        $this->until(
            fn (): bool => $this->address() === $address,
            fn (): string => "It is at {$this->address()}, not at {$address}.",
        );

        return $this;
    }

    /** Waits until the browser is at an address that says something. */
    public function comesTo(string $part): self
    {
        $this->until(
            fn (): bool => str_contains($this->address(), $part),
            fn (): string => "It is at {$this->address()}, which does not say {$part}.",
        );

        return $this;
    }

    public function see(string $text, string $in = 'body'): self
    {
        $this->until(
            fn (): bool => str_contains($this->text($in), $text),
            fn (): string => "\"{$text}\" is not in {$in}, which says: ".mb_strimwidth($this->text($in), 0, 1500),
        );

        return $this;
    }

    public function notSee(string $text, string $in = 'body'): self
    {
        $this->until(fn (): bool => ! str_contains($this->text($in), $text), fn (): string => "\"{$text}\" is still in {$in}.");

        return $this;
    }

    public function text(string $in = 'body'): string
    {
        return (string) preg_replace(
            '/\s+/u',
            ' ',
            (string) $this->browser->executeScript(
                'return [...document.querySelectorAll(arguments[0])].map(e => e.innerText).join(" ")',
                [$in],
            ),
        );
    }

    /** Clicks a button, link or label by its words, inside a part of the page. */
    public function press(string $words, string $in = 'body'): self
    {
        $this->clicks++;

        return $this->act(function () use ($words, $in): void {
            $found = $this->browser->executeScript(
                'const [words, within] = arguments; const all = [...document.querySelectorAll(within)].flatMap(e => '.
                '[...e.querySelectorAll("button, a, label, summary, [role=button]")]);
                const said = e => (e.innerText || e.getAttribute("aria-label") || "").replace(/\s+/g, " ").trim(); const seen = '.
                    'all.filter(e => e.offsetParent !== null);
                document.querySelectorAll("[data-pointed]").forEach(e => e.removeAttribute("data-pointed"));
                const found = seen.find(e => said(e) === words) ?? seen.find(e => said(e).startsWith(words)) ?? seen.find(e => '.
                    'said(e).includes(words)); found?.setAttribute("data-pointed", ""); found?.scrollIntoView({block: '.
                    '"nearest"}); return found !== undefined',
                [$words, $in],
            );
            if ($found === true) {
                $this->browser->findElement(WebDriverBy::cssSelector('[data-pointed]'))->click();
            } else {
                throw new RuntimeException("Nothing says \"{$words}\" in {$in}: ".mb_strimwidth($this->text($in), 0, 600));
            }
        });
    }

    /** Goes to a button or link by Tab, as somebody without a mouse does, and presses Enter. */
    public function pressByKeys(string $words): self
    {
        $this->see($words);
        // A field of files takes typed keys for names of files, so the key itself goes down.
        $tab = fn () => $this->browser->getKeyboard()->pressKey(WebDriverKeys::TAB)->releaseKey(WebDriverKeys::TAB);
        for ($i = 0; $i < 150; $i++) {
            $tab();
            if (str_starts_with(trim($this->browser->switchTo()->activeElement()->getText()), $words)) {
                $this->keys(WebDriverKeys::ENTER);

                return $this;
            }
        }
        throw new RuntimeException("\"{$words}\" is not reached by Tab.");
    }

    public function click(string $selector): self
    {
        $this->clicks++;

        return $this->act(fn () => $this->find($selector)->click());
    }

    public function type(string $selector, string $text): self
    {
        return $this->act(function () use ($selector, $text): void {
            $field = $this->find($selector);
            $field->clear();
            $field->sendKeys($text);
        });
    }

    public function set(string $selector, string $value): self
    {
        return $this->act(
            fn () => $this->browser->executeScript(
                'const e = document.querySelector(arguments[0]); e.value = arguments[1]; e.dispatchEvent(new Event("input", '.
                '{bubbles: true})); e.dispatchEvent(new Event("change", {bubbles: true}));',
                [$selector, $value],
            ),
        );
    }

    public function choose(string $selector, string $value): self
    {
        return $this->act(fn () => (new WebDriverSelect($this->find($selector)))->selectByValue($value));
    }

    public function attach(string $selector, string ...$paths): self
    {
        $this->clicks++;
        $this->find($selector)->setFileDetector(new UselessFileDetector())->sendKeys(implode("\n", $paths));

        return $this;
    }

    /** Presses keys where the focus is, at once: nothing is waited for, but what was swapped just then is asked for anew. */
    public function keys(string ...$keys): self
    {
        $this->until(function () use ($keys): bool {
            $this->browser->switchTo()->activeElement()->sendKeys(implode('', $keys));

            return true;
        }, fn (): string => "The focus on {$this->address()} does not stay.");

        return $this;
    }

    public function chord(string $held, string $key): self
    {
        $this->browser->action()->keyDown(null, $held)->sendKeys(null, $key)->keyUp(null, $held)->perform();

        return $this;
    }

    public function focus(string $selector): self
    {
        $this->act(fn () => $this->browser->executeScript('document.querySelector(arguments[0]).focus()', [$selector]));

        return $this;
    }

    public function drag(string $from, string $to): self
    {
        $this->browser
            ->action()
            ->clickAndHold($this->find($from))
            ->moveByOffset(0, 8)
            ->moveToElement($this->find($to))
            ->moveByOffset(0, 6)
            ->release()
            ->perform();

        return $this;
    }

    public function find(string $selector): RemoteWebElement
    {
        $found = null;
        $this->until(function () use ($selector, &$found): bool {
            $found = $this->browser->findElements(WebDriverBy::cssSelector($selector))[0] ?? null;

            return $found !== null;
        }, fn (): string => "There is no {$selector} on {$this->address()}: ".mb_strimwidth($this->text(), 0, 600));

        return $found ?? throw new RuntimeException("There is no {$selector}.");
    }

    /** Until something is there. */
    public function wait(string $selector): self
    {
        $this->find($selector);

        return $this;
    }

    public function count(string $selector): int
    {
        return count($this->browser->findElements(WebDriverBy::cssSelector($selector)));
    }

    public function script(string $script, mixed ...$arguments): mixed
    {
        return $this->browser->executeScript($script, $arguments);
    }

    /* Where scripts are off the driver can still read, click and type, but not run anything in the page. */

    public function plainText(string $selector): string
    {
        return $this->find($selector)->getText();
    }

    public function plainClick(string $selector): self
    {
        $this->find($selector)->click();

        return $this;
    }

    public function plainType(string $selector, string $text): self
    {
        $this->find($selector)->sendKeys($text);

        return $this;
    }

    /** Waits until a condition of the page holds. */
    public function holds(string $condition, mixed ...$arguments): self
    {
        $this->until(
            fn (): bool => $this->browser->executeScript('return Boolean('.$condition.')', $arguments) === true,
            fn (): string => "{$condition} does not hold on {$this->address()}: ".mb_strimwidth($this->text(), 0, 600),
        );

        return $this;
    }

    /** @return list<string> what sticks out of the page, its work or its panel to the right */
    public function sticksOut(): array
    {
        return array_values(
            (array) $this->browser->executeScript(
                <<<'JS'
                const out = [];
                document.querySelectorAll('body, .work, .panel').forEach((box) => {
                    const edge = box.getBoundingClientRect().right + 2;
                    box.querySelectorAll('*').forEach((one) => {
                        const at = one.getBoundingClientRect();
                        if (at.width > 0 && at.right > edge && !one.querySelector('*'))
                            out.push(`${one.tagName}.${one.className}: ${one.textContent.slice(0, 30)}`);
                    });
                });
                return out.slice(0, 5);
                JS
                ,
            ),
        );
    }

    /**
     * What axe-core finds on the page, in words.
     *
     * @return list<string>
     */
    public function accessibilityProblems(): array
    {
        $this->browser->executeScript((string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js'));
        $found = (array) $this->browser->executeAsyncScript(
            'const done = arguments[0]; axe.run(document, {runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", '.
            '"best-practice"], resultTypes: ["violations"], iframes: false, preload: false}).then(r => '.
            'done(r.violations.map(v => v.id + ": " + v.help + " at " + v.nodes.slice(0, 3).map(n '.
            '=> n.target.join(" ")).join(", "))))',
        );

        return array_map(strval(...), array_values($found));
    }

    public function screenshot(string $path): self
    {
        $this->browser->takeScreenshot($path);

        return $this;
    }

    /**
     * What the browser complained about: scripts that failed, things the security policy refused.
     *
     * @return list<string>
     */
    public function complaints(): array
    {
        $severe = array_filter(
            $this->browser->manage()->getLog('browser'),
            fn (array $entry): bool => $entry['level'] === 'SEVERE',
        );

        // A question about a form that a later one has replaced is broken off on purpose.
        return array_values(
            array_filter(
                array_map(fn (array $entry): string => $entry['message'], $severe),
                fn (string $message): bool => preg_match('/"htmx:(?:sendAbort|afterRequest), /', $message) !== 1,
            ),
        );
    }

    public function leave(): void
    {
        // Once only: the next person may sit at the same browser by now.
        if (! $this->hasLeft) {
            $this->hasLeft = true;
            Chrome::close($this->browser, $this->scripts);
        }
    }

    public function __destruct()
    {
        $this->leave();
    }

    private function act(callable $act): self
    {
        $last = null;
        for ($end = microtime(true) + self::PATIENCE; microtime(true) < $end; usleep(self::GLANCE)) {
            try {
                if ($this->isStill()) {
                    $act();

                    return $this;
                }
            } catch (Throwable $last) {
                // The page may still be changing under the hand: try again until patience ends.
            }
        }
        throw $last ?? new RuntimeException('Nothing was done.');
    }

    /** Whether the page has loaded and nothing that was asked for is on its way into it. */
    private function isStill(): bool
    {
        return $this->browser->executeScript(
            'return document.readyState === "complete" && '.
                '[...document.querySelectorAll(".htmx-request, .htmx-swapping, .htmx-settling, .htmx-added")]'.
                '.every(e => e.closest(".status") !== null)',
        ) === true;
    }

    /**
     * @param  callable(): bool  $holds
     * @param  callable(): string  $complaint
     */
    private function until(callable $holds, callable $complaint): void
    {
        for ($end = microtime(true) + self::PATIENCE; microtime(true) < $end; usleep(self::GLANCE)) {
            try {
                if ($holds()) {
                    return;
                }
            } catch (StaleElementReferenceException) {
                // The page was swapped while it was looked at.
            }
        }
        throw new RuntimeException($complaint());
    }
}
