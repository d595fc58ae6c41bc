<?php

declare(strict_types=1);

namespace OddSpark\Acts\Repairs;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** Whoever supplies power, gas or oil called, and waited for: what comes from outside is right again. */
final readonly class CallSupplier extends Repair
{
    public const NAME = 'call_supplier';

    public const MINUTES = 45.0;

    public const QUALITIES = [Quality::Mends, Quality::Restores];

    public static function fields(): array
    {
        return ['part' => Field::part()];
    }

    public function refusal(Situation $now): ?string
    {
        $kind = $now->model->kindOf($this->part());

        return match (true) {
            $kind === null => Words::say('acts.call_supplier.there_is_no_part_called', ['part' => $this->part()]),
            ! $kind->isSupply() && ! $kind->isFuelSupply() => Words::say('acts.call_supplier.it_is_not_a_supply'),
            default => null,
        };
    }

    public function apply(Situation $now): BenchState
    {
        return $this->mended($now, 'utility');
    }

    public function said(Names $names): string
    {
        return Words::say('acts.call_supplier.called_the_supplier_about_and', [
            'part' => $names->part($this->part()),
        ]);
    }
}
