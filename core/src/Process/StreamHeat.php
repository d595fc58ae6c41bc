<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Ability\IsWarm;
use OddSpark\Parts\Ability\NeedsPipes;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Response;

/**
 * How warm it is at a place in a pipe or a duct: what comes there, from the stores that it has been through, with
 * some of what the place sees of a hot wall; what stands still cools to what is around it. Slot: course, leader;
 * comes and seen, as they were last.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class StreamHeat extends Primitive implements IsWarm, NeedsPipes
{
    public const AT_ONCE = true;

    public const IN_KINDS = true;

    public const DOES = 'feels warm pipe duct';

    public const GIVEN = [
        'at' => 'text?',
        'network' => 'id?',
        'joint' => 'number?',
        'tau_s' => 'number',
        'around' => 'number',
        'cools_s' => 'number',
        'sees' => 'id?',
        'view' => 'number?',
        'still_view' => 'number?',
    ];

    /**
     * @param Figures $p at: port of its part, from which network and joint follow; tau_s: lag; around: degrees
     *     about it, to which it cools in cools_s when nothing flows; sees: store; view: share of what it feels that
     *     comes from there, and still_view when nothing flows; stores: those that what comes can have been through
     */
    public function __construct(private readonly array $p, Fittings $f) {}

    public static function figures(array $spec): array
    {
        return [new Figure('tau_s', 's')];
    }

    public function initial(): array
    {
        return [
            'course' => Response::still(0, (float) $this->p['around']),
            'leader' => null,
            'comes' => [],
            'seen' => [],
        ];
    }

    public function follows(): array
    {
        // what comes here can be any store of the network; that is told by the network, and by those stores
        /** @var list<string> $ids */
        $ids = array_map(strval(...), array_values($this->p['stores'] ?? []));
        foreach (['network', 'sees'] as $key) {
            if (isset($this->p[$key])) {
                $ids[] = (string) $this->p[$key];
            }
        }

        return array_map(strval(...), array_keys(array_flip($ids)));
    }

    public function reads(): array
    {
        $reads = array_fill_keys($this->follows(), ['course']);
        if (isset($this->p['network'])) {
            $reads[(string) $this->p['network']] = [['comes', (string) $this->p['joint']]];
        }

        return $reads;
    }

    public function react(array $slot, Surroundings $now): array
    {
        if (! isset($this->p['network'])) {
            return $slot;
        }
        $comes = $now->follow($this->p['network'], 'comes', (string) $this->p['joint']) ?? [];
        if ($slot['leader'] !== null && $comes === $slot['comes'] && $this->stand($slot['seen'], $now)) {
            return $slot;
        }
        $flows = $comes !== [];
        $view = isset($this->p['sees']) ? (float) ($this->p[$flows ? 'view' : 'still_view'] ?? 0.0) : 0.0;
        $parts = $view > 0 ? [[(string) $this->p['sees'], $view]] : [];
        foreach ($comes as $from => $share) {
            $parts[] = [(string) $from, $share * (1 - $view)];
        }
        // all courses counted from the latest of their ticks, and added up by their shares
        [$from, $rest, $terms, $seen] = [0, 0.0, [], []];
        foreach ($parts as [$of, $share]) {
            if ($of[0] === '=') { // degrees of the open
                $rest += $share * (float) substr($of, 1);

                continue;
            }
            $course = $seen[$of] = $now->course($of);
            $from = max($from, $course[0]);
            $rest += $share * $course[1];
        }
        if (! $flows) {
            $rest += (1 - $view) * $this->p['around'];
        }
        foreach ($parts as [$of, $share]) {
            $course = $seen[$of] ?? [$from, 0.0, []];
            $course = $course[0] === $from ? $course : Response::anchored($course, $from);
            foreach ($course[2] as [$a, $tau]) {
                $terms[] = [$share * $a, $tau];
            }
        }
        $leader = [$from, $rest, $terms];
        $key = [$leader, $flows];
        $slot = ['comes' => $comes, 'seen' => $seen] + $slot;
        if ($key === $slot['leader']) {
            return $slot;
        }
        $here = Response::at($slot['course'], $now->tick);
        $tau = (float) ($flows || $view > 0 ? $this->p['tau_s'] : $this->p['cools_s']);

        return [
            'course' => Response::behind($now->tick, $here, $leader, 0.0, 1.0, $tau),
            'leader' => $key,
        ] + $slot;
    }

    /** @param array<string, array{int, float, list<array{float, float}>}> $seen */
    private function stand(array $seen, Surroundings $now): bool
    {
        foreach ($seen as $from => $course) {
            if ($now->course((string) $from) !== $course) {
                return false;
            }
        }

        return true;
    }
}
