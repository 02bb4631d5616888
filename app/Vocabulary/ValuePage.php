<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Value;
use App\Support\Pictures;
use App\Support\Refused;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;

/** What the page of a value says in the shop. */
final readonly class ValuePage
{
    private const LONGEST = 5000;

    public function __construct(public ?string $description, public ?string $picture)
    {
    }

    /** @throws Refused for a description that is too long, or a file that is no picture */
    public static function from(Request $request, Value $value): self
    {
        $description = trim(str_replace("\r\n", "\n", $request->string('description')->toString()));
        if (mb_strlen($description) > self::LONGEST) {
            throw new Refused('At most '.number_format(self::LONGEST).' characters.', 'description');
        }
        $file = $request->file('picture');
        if ($request->hasFile('picture') && (! ($file instanceof UploadedFile) || ! $file->isValid())) {
            throw new Refused('The picture did not arrive whole. Send it again.', 'picture');
        }

        return new self(
            $description === '' ? null : $description,
            match (true) {
                $file instanceof UploadedFile => Pictures::keep((string) $file->getContent()),
                $request->boolean('no_picture') => null,
                default => $value->picture,
            },
        );
    }
}
