<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Definition;
use App\Support\Refused;
use Closure;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\View\View;
use Lokum\Vocabulary\Kind;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use ZipArchive;

/** An attribute's values for other programs and shops, and lists that come from there. */
final class VocabularyController
{
    private const TYPES = ['csv' => 'text/csv', 'turtle' => 'text/turtle', 'jsonld' => 'application/ld+json'];

    private const ENDINGS = ['csv' => 'csv', 'turtle' => 'ttl', 'jsonld' => 'jsonld'];

    public function show(Request $request, Definition $definition, TakeInValues $take): View
    {
        abort_unless($definition->kind->isAttribute(), 404);
        $kept = $request->string('list')->toString();

        return view('values.vocabulary', [
            'definition' => $definition,
            'values' => $definition->values()->whereNull('merged_into')->count(),
            'pictures' => count(ListValues::pictures($definition)),
            'kept' => $kept,
            'figures' => $kept === '' ? null : $take->consequences($definition, KeptList::open($kept)),
        ]);
    }

    public function export(Definition $definition, string $format, ListValues $list): Response
    {
        abort_unless($definition->kind->isAttribute() && isset(self::TYPES[$format]), 404);

        return response($list->write($definition, $format), 200, [
            'Content-Type' => self::TYPES[$format].'; charset=UTF-8',
            'Content-Disposition' => "attachment; filename=\"{$definition->slug}.".self::ENDINGS[$format].'"',
        ]);
    }

    /** Every attribute's list, in one archive. */
    public function everything(string $format, ListValues $list): BinaryFileResponse
    {
        abort_unless(isset(self::TYPES[$format]), 404);

        return self::archive("vocabulary-{$format}.zip", function (ZipArchive $archive) use ($format, $list): void {
            foreach (
                Definition::query()->live()->whereIn('kind', [Kind::Choice, Kind::Flag])->orderBy('slug')->get() as $definition
            ) {
                $list->addTo($archive, $definition, $format, "{$definition->slug}.".self::ENDINGS[$format]);
            }
        });
    }

    /** One attribute's list with its pictures. */
    public function withPictures(Definition $definition, ListValues $list): BinaryFileResponse
    {
        abort_unless($definition->kind->isAttribute(), 404);

        return self::archive(
            "{$definition->slug}.zip",
            fn (ZipArchive $archive) => $list->addTo($archive, $definition, 'csv', "{$definition->slug}.csv"),
        );
    }

    /** @param  Closure(ZipArchive): void  $fill */
    private static function archive(string $name, Closure $fill): BinaryFileResponse
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'lokum');
        $archive = new ZipArchive();
        if ($archive->open($path, ZipArchive::OVERWRITE) !== true) {
            throw new Refused('The archive cannot be written. Is the disk full?');
        }
        $fill($archive);
        $archive->close();

        return response()->download($path, $name)->deleteFileAfterSend();
    }

    /** Keeps a list that came and shows what taking it in would do. */
    public function look(Request $request, Definition $definition, TakeInValues $take): RedirectResponse
    {
        $kept = self::keep($request, fn (string $name): array => $take->consequences($definition, KeptList::open($name)));

        return redirect()->route('values.vocabulary', [$definition, 'list' => $kept]);
    }

    public function takeIn(Request $request, Definition $definition, TakeInValues $take): RedirectResponse
    {
        $kept = $request->string('list')->toString();
        $change = $take($definition, KeptList::open($kept));
        KeptList::forget($kept);

        return redirect()
            ->route('values.show', $definition)
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    /** Keeps an archive of lists that came, and shows what taking it in would do. */
    public function lookAtAll(Request $request, TakeInValues $take): RedirectResponse
    {
        $kept = self::keep($request, fn (string $name): array => $take->consequencesOfAll(KeptList::open($name)));

        return redirect()->route('values', ['list' => $kept]);
    }

    public function takeAllIn(Request $request, TakeInValues $take): RedirectResponse
    {
        $kept = $request->string('list')->toString();
        $change = $take->takeAll(KeptList::open($kept));
        KeptList::forget($kept);

        return redirect()
            ->route('values')
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    /** @param  Closure(string): mixed  $look  at what is kept; refused for what cannot be taken in */
    private static function keep(Request $request, Closure $look): string
    {
        $request->validate(['list' => 'required|file|max:102400'], ['list.required' => 'Choose a file first.']);
        $file = $request->file('list');
        if (! ($file instanceof UploadedFile)) {
            throw new Refused('Choose a file first.', 'list');
        }
        $kept = KeptList::keep((string) $file->getRealPath());
        try {
            $look($kept);
        } catch (Refused $why) {
            KeptList::forget($kept);
            throw new Refused($why->getMessage(), 'list');
        }

        return $kept;
    }
}
