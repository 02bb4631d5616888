<?php

declare(strict_types=1);

namespace App\Support;

use GdImage;

/**
 * Pictures that people upload: PNG, JPEG or WebP by their content, whatever they are called. Each is drawn anew at the size the
 * shop needs, so that nothing of the file itself is served, and kept under a name made from what it shows.
 */
final class Pictures
{
    public const LARGEST_FILE = 10 << 20;

    private const LARGEST_PIXELS = 40_000_000;

    /** What a name looks like, as kept pictures have it. */
    public const NAME = '/^[a-f0-9]{32}\.webp$/D';

    private const SIDE = 640;

    private const TYPES = [IMAGETYPE_PNG, IMAGETYPE_JPEG, IMAGETYPE_WEBP];

    /**
     * @return string its name
     *
     * @throws Refused for anything that is not such a picture
     */
    public static function keep(string $bytes): string
    {
        $webp = self::drawn($bytes);
        $name = self::named($webp);
        if (@file_put_contents(self::path($name), $webp, LOCK_EX) !== strlen($webp)) {
            @unlink(self::path($name));
            throw new Refused('The picture cannot be kept. Is the disk full?', 'picture');
        }

        return $name;
    }

    /**
     * @return string the name that it would be kept by; nothing is written
     *
     * @throws Refused for anything that is not such a picture
     */
    public static function name(string $bytes): string
    {
        return self::named(self::drawn($bytes));
    }

    private static function named(string $webp): string
    {
        return substr(hash('sha256', $webp), 0, 32).'.webp';
    }

    private static function drawn(string $bytes): string
    {
        if (strlen($bytes) > self::LARGEST_FILE) {
            throw new Refused('A picture may have up to 10 MB.', 'picture');
        }
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], self::TYPES, true)) {
            throw new Refused('That is not a PNG, JPEG or WebP picture.', 'picture');
        }
        if ($size[0] * $size[1] > self::LARGEST_PIXELS) {
            throw new Refused('The picture has more than 40 million pixels. Make it smaller first.', 'picture');
        }
        $image = @imagecreatefromstring($bytes);
        if (! ($image instanceof GdImage)) {
            throw new Refused('The picture is damaged and cannot be read.', 'picture');
        }

        return self::webp($image);
    }

    public static function path(string $name): string
    {
        return config('lokum.data').'/pictures/'.$name;
    }

    private static function webp(GdImage $image): string
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        $scale = min(1, self::SIDE / max($width, $height));
        $small = imagecreatetruecolor(max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale)));
        imagealphablending($small, false);
        imagesavealpha($small, true);
        imagecopyresampled($small, $image, 0, 0, 0, 0, imagesx($small), imagesy($small), $width, $height);
        ob_start();
        imagewebp($small, null, 82);

        return (string) ob_get_clean();
    }
}
