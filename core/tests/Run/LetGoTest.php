<?php

declare(strict_types=1);

namespace OddSpark\Tests\Run;

use OddSpark\Acts\Bypass;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Sites;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use PHPUnit\Framework\TestCase;

/** What is remembered of a model goes with it: a worker sees thousands of them. */
final class LetGoTest extends TestCase
{
    public function test_a_model_that_nobody_holds_is_let_go(): void
    {
        $plan = Compiler::compile((new Library())->model('boiler-simple-230'));
        $faults = FaultSet::of($plan->model);
        $bench = new Bench($plan, $faults->get('fan:open'), new Memory());
        $state = $bench->resume($bench->arrive($plan->model->visits()[0])->state);
        $bench->advance($state, 60_000);
        Sites::of($plan->model);
        Bypass::by($plan->model, [], ['air.C', 'air.NO']);
        [$ofPlan, $ofModel] = [\WeakReference::create($plan), \WeakReference::create($plan->model)];
        unset($plan, $faults, $bench, $state);
        gc_collect_cycles();
        self::assertNull($ofPlan->get(), 'the plan');
        self::assertNull($ofModel->get(), 'the model');
    }
}
