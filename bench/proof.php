<?php

// Suspects and proof on the largest archetype with its real universe, and how they grow with faults and acts.

declare(strict_types=1);

use OddSpark\Acts\ActionLog;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Bench\Attempt;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Marker;
use OddSpark\Marking\Rules;
use OddSpark\Run\Memory;
use OddSpark\Run\Processes;
use OddSpark\Suspects\Analysis;
use OddSpark\Suspects\BestReading;
use OddSpark\Suspects\Pairs;
use OddSpark\Suspects\Tracker;

return function (): array {
    $timed = function (callable $do, int $times = 1): array {
        $all = [];
        $result = null;
        for ($i = 0; $i < $times; $i++) {
            $start = hrtime(true);
            $result = $do();
            $all[] = (hrtime(true) - $start) / 1e9;
        }

        return [median($all), $result];
    };
    $exponent = fn (float $a, float $b, float $na, float $nb): float => log($b / $a) / log($nb / $na);

    $plan = Compiler::compile((new Library())->model('zones-hydronic'));
    $faultSet = FaultSet::of($plan->model);
    $n = count($faultSet->faults);
    $document = json_decode((string) file_get_contents(__DIR__.'/trace-40.json'), true);
    $log = ActionLog::of($document);
    $truth = $faultSet->get('zv1:end-open');
    $arrivals = (new Tracker($plan, $faultSet, 'cold', new Memory()))->arrivals();
    $seen = Attempt::run($plan, $truth, $log, 'cold', new Memory())->observations;
    $follow = fn (FaultSet $of, $seen) => (new Tracker(
        $plan,
        $of,
        'cold',
        new Memory(),
        array_intersect_key($arrivals, $of->faults),
    ))->follow($seen);

    [$s, $steps] = $timed(fn () => $follow($faultSet, $seen), 3);
    $rows['suspects over 40 acts in 20 minutes, s'] = [
        'measured' => $s,
        'bar' => 0.8,
        'notes' => sprintf('%d faults of zones-hydronic, %d left', $n, end($steps)->count()),
    ];

    $marked = function ($seen) use ($plan, $faultSet, $truth, $arrivals): AttemptReview {
        $memory = new Memory();
        $account = new AttemptReview(
            $plan,
            $faultSet,
            $truth,
            $seen,
            new Tracker($plan, $faultSet, 'cold', $memory, $arrivals),
            $memory,
        );
        Marker::of($account, $memory)->mark(Rules::of((new Library())->rules('first-year')));

        return $account;
    };
    [$s, $account] = $timed(fn () => $marked($seen), 3);
    $rows['a mark of 40 acts on the largest archetype, s'] = [
        'measured' => $s,
        'bar' => 1.0,
        'notes' => sprintf(
            '%d faults; %d entries with the best readings then',
            $n,
            count(array_filter($account->steps, fn ($step) => $step->best !== [])),
        ),
    ];

    // the same forty ten times over: whoever goes on reading what he has read
    $entries = [];
    foreach (range(0, 9) as $round) {
        foreach ($document['entries'] as $entry) {
            $entries[] = ['at_s' => $entry['at_s'] + 1200 * $round] + $entry;
        }
    }
    $long = Attempt::run($plan, $truth, ActionLog::of(['entries' => $entries] + $document), 'cold', new Memory());
    [$s] = $timed(fn () => $marked($long->observations));
    $rows['a mark of 400 acts, s'] = ['measured' => $s, 'bar' => 5.0, 'notes' => count($entries).' entries'];

    // one entry more, from the states that stood before it: every entry of the log
    $more = [];
    $memory = new Memory();
    $tracker = new Tracker($plan, $faultSet, 'cold', $memory, $arrivals);
    $tracker->begin($seen);
    foreach (array_keys($seen->entries) as $i) {
        $kept = $tracker->snapshot();
        $tracker = new Tracker($plan, $faultSet, 'cold', $memory, $arrivals);
        [$one] = $timed(function () use ($tracker, $kept, $seen, $i): void {
            $tracker->resume($kept);
            $tracker->step($seen, $i);
        });
        $more[] = 1000 * $one;
    }
    sort($more);
    $rows['one entry more from a snapshot, ms'] = [
        'measured' => median($more),
        'bar' => 15,
        'notes' => sprintf('median of %d entries', count($more)),
    ];
    $rows['the same at worst, ms'] = ['measured' => end($more), 'bar' => 150, 'notes' => 'with most suspects'];

    $memory = new Memory();
    $tracker = new Tracker($plan, $faultSet, 'cold', $memory, $arrivals);
    $first = $tracker->follow(
        Attempt::run(
            $plan,
            $truth,
            ActionLog::of(['entries' => array_slice($document['entries'], 0, 7)] + $document),
            'cold',
            $memory,
        )->observations,
    );
    $reading = new BestReading($plan);
    [$s, $choices] = $timed(
        fn () => $reading->rank($tracker->candidates(), end($first)->weights, PHP_INT_MAX, true),
        3,
    );
    $rows['worth of all readings at one moment, s'] = [
        'measured' => $s,
        'bar' => 0.5,
        'notes' => sprintf('%d readings and looks, %d suspects', count($choices), end($first)->count()),
    ];

    [$s, $pairs] = $timed(fn () => Pairs::of($plan, $faultSet, $seen, $steps));
    $rows['pairs, s'] = ['measured' => $s, 'bar' => 5, 'notes' => sprintf('%d of %d run', $pairs->run, $pairs->of)];
    $processes = Processes::here();
    [$s, $analysis] = $timed(fn () => Analysis::of($plan, $faultSet, 'cold', processes: $processes));
    $rows['classes, tree and difficulty of a whole model, s'] = [
        'measured' => $s,
        'bar' => 15,
        'notes' => sprintf('%d faults, %d questions, %d processes', $n, $analysis->questions, $processes),
    ];

    // growth: a quarter of the faults against all, drawn alike; ten acts against forty
    $quarter = $faultSet->only(
        array_values(
            array_filter(
                array_keys($faultSet->faults),
                fn ($k) => $k % 4 === 0 || array_keys($faultSet->faults)[$k] === $truth->id,
                ARRAY_FILTER_USE_KEY,
            ),
        ),
    );
    [$few] = $timed(fn () => $follow($quarter, $seen), 3);
    [$all] = $timed(fn () => $follow($faultSet, $seen), 3);
    $rows['growth with faults, exponent'] = [
        'measured' => $exponent($few, $all, count($quarter->faults), $n),
        'bar' => 1.1,
        'notes' => sprintf('%d faults %.2f s, %d faults %.2f s', count($quarter->faults), $few, $n, $all),
    ];
    $ten = Attempt::run(
        $plan,
        $truth,
        ActionLog::of(['entries' => array_slice($document['entries'], 0, 10)] + $document),
        'cold',
        new Memory(),
    )->observations;
    [$less] = $timed(fn () => $follow($faultSet, $ten), 3);
    $rows['growth with acts, exponent'] = [
        'measured' => $exponent($less, $all, 10, 40),
        'bar' => 1.1,
        'notes' => sprintf('10 acts %.2f s, 40 acts %.2f s', $less, $all),
    ];

    return $rows;
};
