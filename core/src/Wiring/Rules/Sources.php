<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Parts\Ability\Transforms;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Nets;
use OddSpark\Wiring\Rule;
use OddSpark\Words\Words;

/**
 * Supplies that are shorted, straight or when something closes, and supplies that are tied to each other.
 *
 * @phpstan-import-type Supply from Nets
 */
final class Sources extends Rule
{
    public function find(): array
    {
        $found = [];
        $supplies = array_values(array_filter($this->nets->supplies(), fn (array $s) => $s['class'] !== 'sensing'));
        foreach ($supplies as $i => $supply) {
            $short = $this->short($supply);
            if ($short !== null) {
                $found[] = $short;
            }
            foreach (array_slice($supplies, $i + 1) as $other) {
                if (
                    $supply['part'] !== $other['part'] &&
                    abs($supply['volts'] - $other['volts']) < 0.3 * $supply['volts']
                ) {
                    $tied = $this->tied($supply, $other);
                    if ($tied !== null) {
                        $found[] = $tied;
                    }
                }
            }
        }

        return $found;
    }

    /** @param Supply $supply */
    private function short(array $supply): ?Finding
    {
        $ways = $this->nets->switched($this->nets->root($supply['hot']), $this->nets->root($supply['return']), []);
        if ($ways === []) {
            return null;
        }
        usort($ways, fn (array $x, array $y) => count($x) <=> count($y));
        $wires = $this->wiresAlong($supply, $ways[0]);
        $closing = array_map($this->nets->title(...), $ways[0]);

        return new Finding(
            'short',
            Finding::WRONG,
            array_values(array_unique([$supply['part'], ...array_column($ways[0], 'part')])),
            $wires,
            Words::say('wiring.sources.is_shorted', [
                'title' => $supply['title'],
                'what' => $closing === []
                    ? Words::say('wiring.sources.by_its_own_wires')
                    : Words::say('wiring.sources.when_closed_no_load_is', [
                        'closing' => implode(' and ', $closing),
                        'words' => count($closing) > 1 ? ' are' : ' is',
                    ]),
            ]),
            Words::say('wiring.sources.a_fuse_blows_or_the'),
            Words::say('wiring.sources.put_the_load_in_between'),
        );
    }

    /**
     * @param Supply $one
     * @param Supply $two
     */
    private function tied(array $one, array $two): ?Finding
    {
        $net = fn (array $supply, string $pole): string => $this->nets->root($supply[$pole]);
        foreach (
            [[$two['hot'], $two['return'], false], [$two['return'], $two['hot'], true]] as [$hot, $return, $turned]
        ) {
            if ($net($one, 'return') !== $this->nets->root($return)) {
                continue;
            }
            $ways =
                $net($one, 'hot') === $this->nets->root($hot)
                    ? [[]]
                    : $this->nets->switched($net($one, 'hot'), $this->nets->root($hot), [$net($one, 'return')]);
            if ($ways === []) {
                continue;
            }
            $closing = array_map($this->nets->title(...), $ways[0]);
            $opposed = $turned !== ($this->phase($one) !== $this->phase($two));
            $when =
                $closing === []
                    ? ''
                    : Words::say('wiring.sources.when_close', [
                        'closing' => implode(' and ', $closing),
                        'words' => count($closing) === 1 ? 's' : '',
                    ]);

            return new Finding(
                $opposed
                    ? Words::plain('wiring.sources.out_of_phase')
                    : Words::plain('wiring.sources.sources_paralleled'),
                Finding::WRONG,
                [$one['part'], $two['part']],
                [],
                Words::say('wiring.sources.and_are_tied_together', [
                    'title' => $one['title'],
                    'title_2' => $two['title'],
                    'when' => $when,
                    'words' => $opposed ? Words::say('wiring.sources.the_one_against_the_other') : '.',
                ]),
                $opposed
                    ? Words::say('wiring.sources.twice_their_voltage_drives_a')
                    : Words::say('wiring.sources.each_backfeeds_the_other_through'),
                Words::say('wiring.sources.let_each_have_its_own', [
                    'words' => $opposed ? Words::say('wiring.sources.or_swap_the_leads_of') : '.',
                ]),
            );
        }

        return null;
    }

    /**
     * Which way round a secondary stands: by the side of the line that its primary begins at.
     *
     * @param Supply $supply
     */
    private function phase(array $supply): bool
    {
        $spec = $this->model()->part($supply['part'])?->spec($supply['name']);
        if ($spec?->can(Transforms::class) !== true) {
            return true;
        }
        foreach ($this->lines() as $line) {
            $live = $this->nets->reached($this->nets->root($line['hot']), [$this->nets->root($line['return'])]);
            [$first, $second] = array_map(
                fn (string $t): string => $this->nets->root("{$supply['part']}.$t"),
                $spec->get('primary'),
            );
            if (isset($live[$second]) && ! isset($live[$first])) {
                return false;
            }
        }

        return true;
    }
}
