<?php

declare(strict_types=1);

use Tests\Support\Faults;

/* bin/lokum test faults: as many faults as ten minutes have room for, each with a seed that makes it again. */

test(
    'nothing that breaks off, fills up or is damaged leaves a catalog that is neither as before nor as behind',
    function (): void {
        $faults = Faults::here();
        $end = time() + min(570, (int) (getenv('LOKUM_FAULTS_SECONDS') ?: 540));
        $seed = random_int(1, 1_000_000_000);
        $acts = Faults::acts();
        $made = ['killed' => 0, 'full' => 0, 'damaged' => 0];
        $complaints = [];
        while (time() < $end) {
            $act = $acts[$seed % count($acts)];
            array_push($complaints, ...$faults->kill($act, $seed));
            $made['killed']++;
            if ($seed % 4 === 0 && ! in_array($act, ['first start', 'update'], true)) {
                array_push($complaints, ...$faults->fill($act, $seed) ?? []);
                $made['full']++;
            }
            if ($seed % 3 === 0) {
                array_push($complaints, ...$faults->damage($seed));
                $made['damaged']++;
            }
            $seed++;
        }
        fwrite(STDERR, sprintf("%d acts killed, %d disks filled, %d files damaged\n", ...array_values($made)));
        expect($complaints)->toBe([]);
    },
);
