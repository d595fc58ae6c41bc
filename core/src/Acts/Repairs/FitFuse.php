<?php

declare(strict_types=1);

namespace OddSpark\Acts\Repairs;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Parts\Ability\Blows;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** A fuse of some amps in its clips, or none. */
final readonly class FitFuse extends Act
{
    public const NAME = 'fuse';

    public const MINUTES = 1.0;

    public const QUALITIES = [Quality::Touches, Quality::Mends, Quality::Restores];

    public static function fields(): array
    {
        return ['part' => Field::part(), 'amps' => Field::number()];
    }

    public function is(Quality $quality): bool
    {
        // drawn alone it mends nothing
        return parent::is($quality) && ($quality !== Quality::Mends || $this->get('amps') > 0);
    }

    public function refusal(Situation $now): ?string
    {
        $amps = $this->get('amps');

        return $now->reach->part($now->state, $this->part()) ?? match (true) {
            $now->model->kindOf($this->part())?->hands()->fuse === null => Words::say('acts.fit_fuse.no_fuse_in_it'),
            $amps < 0 || $amps > 100 => Words::say('acts.fit_fuse.a_fuse_has_up_to'),
            $amps == 0 && isset($now->state->off[$this->part()]) => Words::say('acts.fit_fuse.it_is_out_already'),
            default => null,
        };
    }

    public function risks(Situation $now): array
    {
        $risks = $now->risk->drawing($now, $this->part());
        $isLarger = $this->get('amps') > $now->model->parts()[$this->part()]->kind->ratedAmps();

        // a charged capacitor is not what one thinks of with too large a fuse in hand
        return $isLarger ? [...array_intersect($risks, ['live-work']), 'over-fused'] : $risks;
    }

    public function apply(Situation $now): BenchState
    {
        [$part, $amps] = [$this->part(), $this->get('amps')];
        if ($amps == 0) {
            return $now->reach->takenOff($now->state, $part);
        }
        $state = $now->reach->putBack($now->state, $part);
        [$fitted, $slots] = [$state->fitted, []];
        foreach ($now->model->parts()[$part]->kind->those(Blows::class) as $name => $spec) {
            unset($fitted["$part.$name.open"], $fitted["$part.$name.amps"]);
            if ($amps != $spec->get('amps')) {
                $fitted["$part.$name.amps"] = $amps;
            }
            $slots["$part.$name"] = ['whole' => true] + $now->machine->initial()->slots["$part.$name"];
        }
        $mended = array_values(array_unique([...$state->mended, $part]));

        return $state->with(
            resets: [],
            mended: $mended,
            fitted: $fitted,
            slots: array_replace($state->slots, $slots),
        );
    }

    public function said(Names $names): string
    {
        return $this->get('amps') == 0
            ? Words::say('acts.fit_fuse.took_the_fuse_out_of', ['part' => $names->part($this->part())])
            : Words::say('acts.fit_fuse.put_a_into', [
                'amps' => $this->get('amps'),
                'part' => $names->part($this->part()),
            ]);
    }
}
