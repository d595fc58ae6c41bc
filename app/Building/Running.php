<?php

namespace App\Building;

use App\Bench\Told;
use App\Models\Draft;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Preview;
use OddSpark\Building\HealthyRun;
use OddSpark\Faults\Fault;
use OddSpark\Run\Memory;

/** The healthy run of a model that is being made. */
class Running
{
    public const LONGEST_S = 900;

    /** Moments at which something may happen while somebody waits: ten times what the liveliest shipped model needs. */
    public const MOST_MOMENTS = 30_000;

    public function __construct(private readonly Library $library) {}

    /**
     * @return array{Plan, string} compiled, and the visit that was asked for or the first
     *
     * @throws DocumentError what it lacks to run
     */
    public function plan(Draft $draft, string $visit): array
    {
        $plan = Compiler::compile($this->library->resolve($draft->content()));
        $visits = $plan->model->visits();

        return [$plan, in_array($visit, $visits, true) ? $visit : (string) $visits[0]];
    }

    /**
     * @return array<string, mixed> what is perceived, and the states of its first control
     *
     * @throws DocumentError
     */
    public function tape(Draft $draft, string $visit): array
    {
        [$plan, $visit] = $this->plan($draft, $visit);
        $preview = Preview::of($plan, Fault::none(), $visit, self::LONGEST_S * 1000, self::memory());

        return ['visit' => $visit, 'visits' => $plan->model->visitTitles()] + Told::taped($preview);
    }

    /** @param int $times as many runs as share it */
    public static function memory(int $times = 1): Memory
    {
        return new Memory(mostMoments: $times * self::MOST_MOMENTS);
    }

    /** @throws DocumentError */
    public function at(Draft $draft, string $visit, float $seconds): HealthyRun
    {
        [$plan, $visit] = $this->plan($draft, $visit);

        return new HealthyRun($plan, $visit, (int) round(1000 * $seconds), self::memory());
    }
}
