<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Fill\RunRules;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Support\Refused;
use App\Vocabulary\SettleCertain;
use Throwable;

/**
 * What comes behind a reading: newcomers that are certain land, fill rules run. The reading stands whatever becomes of them; where they
 * were cut off, they run at the next start, and where they fail the reading says so.
 */
final readonly class FinishReading
{
    public function __construct(private RunRules $rules, private SettleCertain $settle)
    {
    }

    public function __invoke(Reading $reading): void
    {
        try {
            ($this->settle)();
            ($this->rules)();
            $reading->update(['rules_wait' => false]);
        } catch (Throwable $why) {
            report($why);
            $reading->update([
                'rules_wait' => false,
                'message' => 'It was read. The fill rules behind it did not run: '.
                    ($why instanceof Refused
                        ? $why->getMessage()
                        : 'the newest log in storage/logs says why. Run them under Definitions, Fill rules.'),
            ]);
        }
    }

    /** Brings to an end what was cut off behind a reading. */
    public function whatWasCutOff(): void
    {
        /** @var Reading $reading */
        foreach (
            Reading::query()->where('state', ReadingState::Done)->where('rules_wait', true)->orderBy('id')->get() as $reading
        ) {
            $this($reading);
            if ($reading->message === null) {
                $reading->update(['message' => 'The fill rules behind it were cut off; they have run at the next start.']);
            }
        }
    }
}
