<?php

declare(strict_types=1);

namespace Tests\Support;

use CurlHandle;

/** Somebody who looks at page after page of a shop with one browser, and complains of what should not be. */
final class Shopper
{
    public int $looks = 0;

    /** The newest edition seen. */
    public int $edition = 0;

    /** @var list<string> */
    public array $complaints = [];

    private CurlHandle $browser;

    public function __construct(private readonly string $shop)
    {
        $this->browser = curl_init();
        // The cookies are kept in memory.
        curl_setopt_array($this->browser, [CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 20, CURLOPT_COOKIEFILE => '']);
    }

    public function look(string $path): void
    {
        $this->looks++;
        curl_setopt($this->browser, CURLOPT_URL, "{$this->shop}/{$path}");
        $page = (string) curl_exec($this->browser);
        $status = curl_getinfo($this->browser, CURLINFO_RESPONSE_CODE);
        preg_match_all('/data-edition="(\d+)"/', $page, $found);
        $editions = array_values(array_unique(array_map(intval(...), $found[1])));
        if ($status !== 200) {
            $this->complaints[] = "{$path}: {$status}, ".mb_strimwidth(strip_tags($page), 0, 200);
        } elseif (count($editions) !== 1) {
            $this->complaints[] = "{$path}: of editions ".implode(' and ', $editions);
        } elseif ($editions[0] < $this->edition) {
            $this->complaints[] = "{$path}: edition {$editions[0]} after {$this->edition}";
        }
        $this->edition = max([$this->edition, ...$editions]);
    }
}
