<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Ability\IsWarm;
use OddSpark\Parts\Condition;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Response;

/**
 * How warm it is beside something that burns or runs, where only that matters: before the burners, in a control box, at
 * the edge of a draft hood, at the tip of a thermocouple. Hot while its conditions hold,
 * hotter while more do. Slot: course,
 * aim, shows.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Spot extends Primitive implements IsWarm
{
    public const AT_ONCE = true;

    public const DOES = 'warm place';

    /**
     * @param Figures $p start; hot: degrees while all of if hold; hotter: while all of if_hotter do as well;
     *     shows: what is perceived while it is hot; tau_s
     */
    public function __construct(private readonly array $p, Fittings $f) {}

    public static function figures(array $spec): array
    {
        return [
            new Figure('start', Figure::DEGREES, -60.0, 250.0),
            new Figure('hot', Figure::DEGREES, -60.0, 1600.0),
            new Figure('hotter', Figure::DEGREES, -60.0, 1600.0),
            new Figure('tau_s', 's'),
        ];
    }

    public function initial(): array
    {
        return [
            'course' => Response::still(0, (float) $this->p['start']),
            'aim' => (float) $this->p['start'],
            'shows' => '',
        ];
    }

    public function follows(): array
    {
        return Condition::followed($this->conditions());
    }

    public function reads(): array
    {
        return Condition::read($this->conditions());
    }

    public function react(array $slot, Surroundings $now): array
    {
        [$aim, $shows] = [(float) $this->p['start'], ''];
        if (Condition::allHold($this->p['if'], $now)) {
            [$aim, $shows] = [(float) $this->p['hot'], $this->p['shows'] ?? ''];
            if (isset($this->p['hotter']) && Condition::allHold($this->p['if_hotter'] ?? [], $now)) {
                $aim = (float) $this->p['hotter'];
            }
        }
        $slot['shows'] = $shows;

        return $aim === $slot['aim']
            ? $slot
            : [
                'course' => Response::towards(
                    $now->tick,
                    Response::at($slot['course'], $now->tick),
                    $aim,
                    (float) $this->p['tau_s'],
                ),
                'aim' => $aim,
                'shows' => $shows,
            ];
    }

    public function next(array $slot, Surroundings $now): int
    {
        return Condition::next($this->conditions(), $now);
    }

    public function shows(array $slot): string
    {
        return $slot['shows'];
    }

    /** @return list<array{by: string}> */
    private function conditions(): array
    {
        return [...$this->p['if'], ...$this->p['if_hotter'] ?? []];
    }
}
