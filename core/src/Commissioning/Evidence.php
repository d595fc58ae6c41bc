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
    /** @var array<string, true> what was read: "gauge manifold", "clock", "clamp part", "ua", "ohm" */
    private array $read = [];

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

    public function isRead(Row $row): bool
    {
        $taps = fn (string $instrument): bool => array_filter(
            $row->of,
            fn (string $tap): bool => ! isset($this->read["$instrument $tap"]),
        ) === [];

        return match ($row->sort) {
            'rise' => $taps('probe'),
            'static' => $taps('gauge'),
            'input' => isset($this->read[ClockGas::NAME]),
            'amps' => isset($this->read[ClampMeter::KEY.' '.Model::split($row->of[0])[0]]),
            'flame' => isset($this->read[Mode::Microamps->value]),
            'eye' => isset($this->read[Mode::Ohms->value]),
            default => $taps($row->sort),
        };
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
        if ($act->name === ClockGas::NAME && $outcome->seen !== []) {
            $this->read[ClockGas::NAME] = true;
        }
        $key = $outcome->reading?->mode->key();
        if ($key === null || $outcome->reading->unsteady) {
            return;
        }
        $key = str_replace(AtTap::METRIC, '', $key);
        $this->read[$key] = true;
        if (($taps[$key] ?? null) !== null) {
            $this->read["$key $taps[$key]"] = true;
        }
        foreach ($key === ClampMeter::KEY ? $wires : [] as $wire) {
            foreach ([$this->model->wire($wire)?->from, $this->model->wire($wire)?->to] as $place) {
                $this->read["$key ".Model::split((string) $place)[0]] = true;
            }
        }
    }
}
