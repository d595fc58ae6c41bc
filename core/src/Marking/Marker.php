<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Marking\Lines\Basics;
use OddSpark\Marking\Lines\ClosingReport;
use OddSpark\Marking\Lines\Compared;
use OddSpark\Marking\Lines\Finding;
use OddSpark\Marking\Lines\Habits;
use OddSpark\Marking\Lines\Judge;
use OddSpark\Marking\Lines\Money;
use OddSpark\Marking\Lines\Night;
use OddSpark\Marking\Lines\Reasoning;
use OddSpark\Marking\Lines\Repair;
use OddSpark\Marking\Lines\Safety;
use OddSpark\Marking\Lines\Technique;
use OddSpark\Marking\Lines\Trace;
use OddSpark\Marking\Lines\Verify;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;

/** A mark from an account, under house rules: the same account and rules always give the same mark. */
final readonly class Marker
{
    /** Where nothing is repaired, as nobody is there who could: what is judged of a trace, and what it fails by. */
    private const FROM_AFAR = ['remote' => [
        'lines' => ['safety', 'trace', 'reasoning', 'finding'],
        'caps' => ['unsafe', 'guess', 'swept'],
    ]];

    /**
     * @param CallbackSimulation|null $after null when the appliance was not handed back
     * @param string|null $work of {@see Rules::OTHER_WORK}, whose lines come beside those of tracing
     * @param array<string, Judge> $beside of those lines, by what else than the account they judge
     */
    private function __construct(
        private AttemptReview $account,
        private ?CallbackSimulation $after,
        private ?string $work,
        private array $beside,
    ) {}

    /**
     * @param string|null $work of {@see Rules::OTHER_WORK}, whose lines come beside those of tracing
     * @param array<string, Judge> $beside of those lines, by what else than the account they judge
     */
    public static function of(
        AttemptReview $account,
        Memory $memory = new Memory(),
        ?string $work = null,
        array $beside = [],
    ): self {
        $last = $account->repairs->last();
        if ($last === null || $account->entries(['hand_back']) === []) {
            return new self($account, null, $work, $beside);
        }
        $sound = (new Tracker(
            $account->plan,
            $account->faultSet->only(['healthy']),
            $account->seen->visit,
            $memory,
        ))->arrivals()['healthy']->state;

        $after = CallbackSimulation::of($account->plan, $account->fault, $last, $sound, $memory);

        return new self($account, $after, $work, $beside);
    }

    public function mark(Rules $rules): Mark
    {
        $lines = [];
        $of = self::FROM_AFAR[$this->work ?? ''] ?? ['lines' => Rules::LINES, 'caps' => Rules::CAPS];
        $wanted = [...$of['lines'], ...array_keys(Rules::OTHER_WORK[$this->work ?? ''] ?? [])];
        foreach (array_intersect_key($this->judges(), array_flip($wanted)) as $id => $judge) {
            if ($rules->weights[$id] > 0) {
                $lines[] = $judge->judge($this->account, $rules);
            }
        }
        $repairs = $this->account->repairs;
        $isShutDown = $repairs->isRightlyShutDown();
        $calledBack = ! $isShutDown && ($this->after?->isCalledBack() ?? false);
        $caps = array_keys(array_filter([
            'unsafe' => Safety::wasUnsafe($this->account, $rules),
            'fault_left' => ! $isShutDown && ($repairs->isLeft() || $repairs->spoilt() !== []),
            'guess' => in_array($this->account->verdict(), ['guess', 'contradicted', 'none'], true),
            'called_back' => $calledBack,
            'swapped' => $this->account->swappedWithoutProof() !== [],
            'swept' => Trace::isSweep($this->account),
        ]));
        $hints = [];
        foreach ($this->account->entries(['hint']) as $i) {
            $grade = $this->account->act($i)->get('grade');
            $hints[$grade] = ($hints[$grade] ?? 0) + 1;
        }

        return new Mark(
            $lines,
            $this->account->verdict(),
            array_values(array_intersect($rules->caps, $of['caps'], $caps)),
            $hints,
            in_array('called_back', $of['caps'], true)
                ? ['hours' => CallbackSimulation::HOURS, 'said' => $this->after === null ? [] : $this->after->said]
                : ['hours' => 0, 'said' => []],
            $rules,
            (new GoodHabits($this->account))->told(),
        );
    }

    /** @return array<string, Judge> by line */
    private function judges(): array
    {
        return [
            'safety' => new Safety(),
            'basics' => new Basics(),
            'technique' => new Technique(),
            'trace' => new Trace(),
            'reasoning' => new Reasoning(),
            'finding' => new Finding(),
            'repair' => new Repair(),
            'verify' => new Verify(),
            'money' => new Money($this->after?->isCalledBack() ?? false),
            'habits' => new Habits(),
            'report' => new ClosingReport(),
            'night' => new Night(),
            'compared' => new Compared(),
            ...$this->beside,
        ];
    }
}
