<?php

declare(strict_types=1);

namespace OddSpark\Acts\Repairs;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;

/** A part replaced, cleaned, cleared or set right. */
final readonly class Mend extends Repair
{
    public const NAME = 'mend';

    public const MINUTES = 20.0;

    public const QUALITIES = [Quality::Swaps, Quality::Touches, Quality::Mends, Quality::Restores];

    public static function fields(): array
    {
        return ['part' => Field::part(), 'how' => Field::oneOf('replace', 'clean', 'clear', 'set')];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part());
    }

    public function risks(Situation $now): array
    {
        return $this->get('how') === 'clear' ? [] : $now->risk->hands($now, $this->part());
    }

    public function apply(Situation $now): BenchState
    {
        return $this->mended($now, $this->get('how'));
    }

    public function said(Names $names): string
    {
        return match ($this->get('how')) {
            'clean' => "Cleaned {$names->part($this->part())}",
            'clear' => "Cleared {$names->part($this->part())}",
            'set' => "Set {$names->part($this->part())} right",
            default => "Replaced {$names->part($this->part())}",
        };
    }
}
