<?php

declare(strict_types=1);

namespace App;

use Illuminate\Encryption\Encrypter;
use Illuminate\Support\Facades\Artisan;

/** Makes the data directory what this version of Lokum expects: created and migrated when missing. */
final class Setup
{
    public static function ensure(): void
    {
        $data = (string) config('lokum.data');
        foreach ([$data, $data.'/feeds', $data.'/inbox', $data.'/editions', $data.'/pictures'] as $directory) {
            if (! is_dir($directory) && ! @mkdir($directory, 0770, true) && ! is_dir($directory)) {
                throw new Refused("The directory \"{$directory}\" cannot be made.");
            }
        }
        self::ensureKey($data.'/app.key');
        $files = glob(database_path('migrations/*.php')) ?: [];
        $stamp = md5(implode('|', array_map(basename(...), $files)));
        $stampFile = $data.'/schema';
        if (is_file($stampFile) && file_get_contents($stampFile) === $stamp) {
            return;
        }
        foreach (['catalog', 'runtime'] as $name) {
            $file = $data.'/'.$name.'.sqlite';
            is_file($file) || touch($file);
        }
        Artisan::call('migrate', ['--force' => true]);
        file_put_contents($stampFile, $stamp, LOCK_EX);
    }

    private static function ensureKey(string $file): void
    {
        if (! is_file($file)) {
            $key = 'base64:'.base64_encode(Encrypter::generateKey('AES-256-CBC'));
            $handle = fopen($file, 'x');
            if ($handle !== false) {
                chmod($file, 0600);
                fwrite($handle, $key);
                fclose($handle);
            }
        }
        config(['app.key' => trim((string) file_get_contents($file))]);
    }
}
