<?php

declare(strict_types=1);

namespace App\Door;

use Illuminate\Routing\UrlGenerator;

/** Addresses of pages without scheme and host: forms and links work behind any proxy, whatever it calls this machine. */
final class RelativeUrls extends UrlGenerator
{
    public function route($name, $parameters = [], $absolute = false)
    {
        return parent::route($name, $parameters, false);
    }
}
