<?php

declare(strict_types=1);

namespace App\Settings;

use App\Models\Setting;
use App\Support\Pictures;
use App\Support\Refused;
use App\Support\Times;
use Closure;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Illuminate\View\View;

/** What managers say once about the shop and about what is kept. */
final class SettingsController
{
    public function show(): View
    {
        return view('settings.show', ['shop' => Shop::current(), 'version' => Setting::query()->first()->version ?? 0]);
    }

    /** After readings, or times. */
    private static function isTime(string $field, mixed $said, Closure $fail): void
    {
        try {
            if (is_string($said) && $said !== Shop::AFTER_READINGS) {
                Times::of($said);
            }
        } catch (Refused $why) {
            $fail($why->getMessage());
        }
    }

    private static function areAddresses(string $field, mixed $said, Closure $fail): void
    {
        foreach (preg_split('/[\s,;]+/', is_string($said) ? $said : '', -1, PREG_SPLIT_NO_EMPTY) ?: [] as $address) {
            if (filter_var($address, FILTER_VALIDATE_EMAIL) === false) {
                $fail("\"{$address}\" is no e-mail address.");
            }
        }
    }

    public function update(Request $request, SaveShop $save): RedirectResponse
    {
        $input = $request->validate([
            'name' => 'nullable|string|max:60',
            'line' => 'nullable|string|max:60',
            'picture' => 'nullable|file|max:10240',
            'language' => ['required', 'string', Rule::in(array_keys(Shop::languages()))],
            'currency' => ['required', 'string', Rule::in(array_keys(Shop::currencies()))],
            'timezone' => ['required', 'string', Rule::in(Shop::timezones())],
            'taxes' => ['required', 'string', Rule::enum(Taxes::class)],
            'editions' => 'required|integer|between:2,100',
            'editions_mb' => 'nullable|integer|between:0,10000000',
            'days' => 'required|integer|between:0,3650',
            'publishes' => ['nullable', 'string', 'max:100', self::isTime(...)],
            'loss' => 'nullable|integer|between:0,100',
            'reports_to' => ['nullable', 'string', 'max:2000', self::areAddresses(...)],
            'reports_at' => ['nullable', 'string', 'max:100', self::isTime(...)],
            'version' => 'required|integer',
        ], [
            'language.in' => 'This language is not known. Choose one of the list.',
            'currency.in' => 'This currency is not known. Choose one of the list.',
            'timezone.in' => 'This time zone is not known. Choose one of the list.',
        ]);
        $mark = $request->file('picture');
        $changes = [
            'name' => trim((string) ($input['name'] ?? '')),
            'line' => trim((string) ($input['line'] ?? '')),
            'language' => (string) $input['language'],
            'currency' => (string) $input['currency'],
            'timezone' => (string) $input['timezone'],
            'taxes' => (string) $input['taxes'],
            'editions' => (int) $input['editions'],
            'editions_mb' => (int) ($input['editions_mb'] ?? 0) ?: null,
            'days' => (int) $input['days'],
            'reports_to' => trim((string) ($input['reports_to'] ?? '')),
            'reports_at' => trim((string) ($input['reports_at'] ?? '')),
            'publishes' => trim((string) ($input['publishes'] ?? '')),
            'loss' => (int) ($input['loss'] ?? Shop::LOSS) === Shop::LOSS ? null : (int) $input['loss'],
        ];
        if ($mark instanceof UploadedFile) {
            $changes['mark'] = Pictures::keep((string) file_get_contents($mark->getRealPath()));
        } elseif ($request->boolean('no_mark')) {
            $changes['mark'] = null;
        }
        $change = $save($changes, (int) $input['version']);

        return redirect()
            ->route('settings')
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }
}
