<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Support\Pictures;
use App\Support\Refused;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use InvalidArgumentException;
use Lokum\Color\ColorNames;
use Lokum\Vocabulary\Look;

/** Reads a look from a form: colors by picker or by name, a picture or pattern, what shoppers read. */
final class LookForm
{
    /**
     * @param  Look  $was  what it is dressed in now
     *
     * @throws Refused for a color that is none, or a file that is no picture
     */
    public static function read(Request $request, Look $was): Look
    {
        $colors = array_values(
            array_filter((array) $request->input('colors', []), fn (mixed $color): bool => is_string($color) && $color !== ''),
        );
        $used = array_slice($colors, 0, min(3, max(0, $request->integer('color_count', count($colors)))));
        $name = $request->string('color_name')->trim()->toString();
        if ($name !== '') {
            $used = ColorNames::in($name);
            if ($used === []) {
                throw new Refused("No color is called \"{$name}\". Choose it by the picker.", 'colors');
            }
        }
        try {
            return new Look(
                array_map(strtolower(...), $used),
                $request->string('look_label')->trim()->toString() ?: null,
                $request->string('look_help')->trim()->toString() ?: null,
                self::picture($request, $was),
            );
        } catch (InvalidArgumentException $why) {
            throw new Refused($why->getMessage(), 'colors');
        }
    }

    private static function picture(Request $request, Look $was): ?string
    {
        $file = $request->file('look_picture');
        if ($request->hasFile('look_picture') && (! ($file instanceof UploadedFile) || ! $file->isValid())) {
            throw new Refused('The picture did not arrive whole. Send it again.', 'picture');
        }

        return match (true) {
            $file instanceof UploadedFile => Pictures::keep((string) $file->getContent()),
            $request->boolean('no_look_picture') => null,
            default => $was->picture,
        };
    }
}
