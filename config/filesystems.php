<?php

declare(strict_types=1);

return [
    'default' => 'local',
    // Nothing below storage is served: no route of the framework's own hands files out.
    'disks' => ['local' => ['driver' => 'local', 'root' => storage_path('app'), 'serve' => false]],
];
