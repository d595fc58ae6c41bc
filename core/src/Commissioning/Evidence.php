<?php

declare(strict_types=1);

namespace OddSpark\Commissioning;

use OddSpark\Acts\Act;
use OddSpark\Acts\Notes\FillIn;
use OddSpark\Acts\Notes\Sign;
use OddSpark\Acts\Perceiving\ClockGas;
use OddSpark\Acts\Quality;
use OddSpark\Appliance\Model;
use OddSpark\Bench\Outcome;
use OddSpark\Instruments\AtTap;
use OddSpark\Instruments\Bag;
use OddSpark\Instruments\ClampMeter;
use OddSpark\Meter\Mode;

/** What the log of an attempt shows of a sheet: what was read after the last repair, and what was written down. */
final class Evidence
{
    /** @var array<string, list<float>> what was shown: at "gauge manifold", "clock" (s), "clamp part", "ua", "ohm" */
    private array $shown = [];

    /** @var array<string, array{float|null, string, int}> figure, how it was found, entry; by row */
    private array $written = [];

    /** "in_service" or "out_of_service"; null: it is not signed. */
    public ?string $signed = null;

    /** The last entry that mends something; −1: none does. */
    public readonly int $mended;

    /** @param list<array{Act, Outcome}> $entries */
    public function __construct(private readonly Model $model, array $entries)
    {
        $mended = -1;
        foreach ($entries as $i => [$act, $outcome]) {
            if ($act->is(Quality::Mends) && $outcome->refused === null) {
                $mended = $i;
            }
        }
        $this->mended = $mended;
        $taps = $wires = [];
        foreach ($entries as $i => [$act, $outcome]) {
            if ($outcome->refused !== null) {
                continue;
            }
            if (isset(Bag::atTaps()[$act->name])) {
                $taps[$act->name] = $act->get('tap');
            }
            $wires = $act->name === ClampMeter::KEY ? $act->get('wires') : $wires;
            $this->note($i, $act, $outcome, $taps, $wires);
        }
    }

    /** @return array{float|null, string, int}|null figure, how it was found, entry */
    public function of(string $row): ?array
    {
        return $this->written[$row] ?? null;
    }

    /** Whether an instrument has shown what is written in a row, there and since the last repair. */
    public function isRead(Row $row, float $said): bool
    {
        foreach ($this->figures($row) as $figure) {
            if ($row->isNear($said, $figure)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<float> what the readings of a row come to */
    private function figures(Row $row): array
    {
        $at = fn (int $i, string $instrument): array => $this->shown["$instrument {$row->of[$i]}"] ?? [];

        return match ($row->sort) {
            'rise' => self::less($at(0, 'probe'), $at(1, 'probe')),
            'static' => self::less($at(0, 'gauge'), $at(1, 'gauge')),
            'input' => array_map(
                fn (float $seconds): float => Figures::input($seconds, $this->model),
                $this->shown[ClockGas::NAME] ?? [],
            ),
            'amps' => $this->shown[ClampMeter::KEY.' '.Model::split($row->of[0])[0]] ?? [],
            'flame' => array_map(abs(...), $this->shown[Mode::Microamps->value] ?? []),
            'eye' => $this->shown[Mode::Ohms->value] ?? [],
            default => $at(0, $row->sort),
        };
    }

    /**
     * @param list<float> $more
     * @param list<float> $less
     * @return list<float>
     */
    private static function less(array $more, array $less): array
    {
        $between = [];
        foreach ($more as $x) {
            foreach ($less as $y) {
                $between[] = $x - $y;
            }
        }

        return $between;
    }

    /**
     * @param array<string, string|null> $taps where each instrument is
     * @param list<string> $wires in the jaw
     */
    private function note(int $i, Act $act, Outcome $outcome, array $taps, array $wires): void
    {
        if ($act->name === FillIn::NAME) {
            $this->written[$act->get('row')] = [$act->get('figure'), $act->get('found'), $i];
        } elseif ($act->name === Sign::NAME) {
            $this->signed = $act->get('as');
        }
        if ($i <= $this->mended) {
            return; // what was read before says nothing of how it was left
        }
        if ($act->name === ClockGas::NAME && preg_match('/(\d+) s\b/', $outcome->seen['dial'] ?? '', $seconds) === 1) {
            $this->shown[ClockGas::NAME][] = (float) $seconds[1];
        }
        $key = $outcome->reading?->mode->key();
        if ($key === null || $outcome->reading->unsteady) {
            return;
        }
        $key = str_replace(AtTap::METRIC, '', $key);
        $value = abs($outcome->reading->value) === INF ? null : $outcome->reading->value;
        if ($value === null || $outcome->reading->live) {
            return;
        }
        $this->shown[$key][] = $value;
        if (($taps[$key] ?? null) !== null) {
            $this->shown["$key $taps[$key]"][] = $value;
        }
        foreach ($key === ClampMeter::KEY ? $wires : [] as $wire) {
            foreach ([$this->model->wire($wire)?->from, $this->model->wire($wire)?->to] as $place) {
                $this->shown["$key ".Model::split((string) $place)[0]][] = $value;
            }
        }
    }
}
