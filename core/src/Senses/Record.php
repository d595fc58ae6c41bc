<?php

declare(strict_types=1);

namespace OddSpark\Senses;

/**
 * What was perceived over time, channel by channel: stretches of one value from a tick to a tick.
 *
 * A channel that cannot be perceived has no stretch, which is not the same as silence: silence that
 * could have been broken is a stretch of ''.
 *
 * @phpstan-type Perceived array<string, string|float|null>
 * @phpstan-type Stretches array<string, list<array{int, int, mixed}>>
 * @phpstan-type Open array<string, array{int, mixed}>
 * @phpstan-type Kept array{stretches: Stretches, open: Open, twin?: array{stretches: Stretches, open: Open}}
 */
final class Record
{
    /** @var array<string, list<array{int, int, mixed}>> by channel: from, to, value */
    public array $stretches = [];

    /** @var array<string, array{int, mixed}> the stretch still going on */
    private array $open = [];

    /**
     * What is perceived from this tick on.
     *
     * @param Perceived $values by channel; a channel that is missing is not perceived
     */
    public function see(int $tick, array $values): void
    {
        foreach ($this->open as $channel => [$from, $value]) {
            if (! array_key_exists($channel, $values) || $values[$channel] !== $value) {
                $this->close($channel, $tick);
            }
        }
        foreach ($values as $channel => $value) {
            $this->open[$channel] ??= [$tick, $value];
        }
    }

    /**
     * All stretches up to this tick, the one that is going on cut there.
     *
     * @return array<string, list<array{int, int, mixed}>>
     */
    public function until(int $tick): array
    {
        $all = $this->stretches;
        foreach ($this->open as $channel => [$from, $value]) {
            $all[$channel][] = [$from, max($from, $tick), $value];
        }

        return $all;
    }

    /**
     * @param array<string, list<array{int, int, mixed}>> $stretches each channel's in their order
     * @return array<string, list<array{int, int, mixed}>> what of them there was by that tick, as one knew it then
     */
    public static function upTo(array $stretches, int $tick): array
    {
        foreach ($stretches as $channel => $list) {
            $last = count($list) - 1;
            while ($last >= 0 && $list[$last][0] > $tick) {
                unset($stretches[$channel][$last--]);
            }
            if ($last < 0) {
                unset($stretches[$channel]);
            } elseif ($list[$last][1] > $tick) {
                $stretches[$channel][$last][1] = $tick;
            }
        }

        return $stretches;
    }

    /**
     * @return array{stretches: Stretches, open: Open} to go on from later
     */
    public function kept(): array
    {
        return ['stretches' => $this->stretches, 'open' => $this->open];
    }

    /**
     * @param array{stretches: Stretches, open: Open, ...} $kept from {@see kept}
     */
    public static function resumed(array $kept): self
    {
        $record = new self();
        $record->stretches = $kept['stretches'];
        $record->open = $kept['open'];

        return $record;
    }

    private function close(string $channel, int $tick): void
    {
        [$from, $value] = $this->open[$channel];
        unset($this->open[$channel]);
        // what lasts no time at all is not perceived, but for what one finds on entering
        if ($tick > $from || $from === 0 && ! isset($this->stretches[$channel])) {
            $this->stretches[$channel][] = [$from, $tick, $value];
        }
    }
}
