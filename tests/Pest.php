<?php

declare(strict_types=1);

use Tests\Support\CatalogTestCase;

pest()
    ->extend(CatalogTestCase::class)
    ->in('App', 'Outside/Counting', 'Outside/Api', 'Outside/Notices', 'Outside/Proxy', 'Outside/Replicas', 'Outside/Servers', 'Servers');
