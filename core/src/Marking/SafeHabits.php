<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Quality;
use OddSpark\Acts\Repairs\CallSupplier;
use OddSpark\Acts\Safety\LeakTest;
use OddSpark\Acts\Safety\Lock;
use OddSpark\Acts\Safety\ProveDead;
use OddSpark\Acts\Safety\RoomAir;
use OddSpark\Acts\Safety\TagOut;
use OddSpark\Acts\Setting\Set;
use OddSpark\Words\Words;

/** What was done for safety that nobody had to be told of: said in the debrief, each sort once. */
final readonly class SafeHabits
{
    private const ALL = [
        'isolated',
        'shut',
        ProveDead::NAME,
        Lock::NAME,
        LeakTest::NAME,
        RoomAir::NAME,
        TagOut::NAME,
    ];

    public function __construct(private AttemptReview $account) {}

    /** @return list<array{text: string, entry: int|null}> as {@see Line} has them */
    public function told(): array
    {
        $found = [];
        $off = $shut = null; // where power and fuel were last shut off
        foreach (array_keys($this->account->seen->entries) as $i) {
            [$act, $outcome] = [$this->account->act($i), $this->account->outcome($i)];
            if ($outcome->refused !== null || $outcome->wasStopped()) {
                continue;
            }
            $kind = $this->account->kind($act->part());
            if ($act->name === Set::NAME) {
                $off = match (true) {
                    $kind?->isSupply() !== true => $off,
                    $act->get('to') === 'off' => $i,
                    default => null,
                };
                $shut = match (true) {
                    $kind?->isFuelSupply() !== true => $shut,
                    in_array($act->get('to'), ['shut', 'off'], true) => $i,
                    default => null,
                };
            }
            $isWork = $act->is(Quality::Touches) && ($act->is(Quality::Mends) || $act->is(Quality::Restores));
            if ($isWork && $act->name !== Set::NAME && $act->name !== CallSupplier::NAME && $outcome->dangers === []) {
                $found += $off === null ? [] : ['isolated' => $off];
                $found += $shut === null || $kind?->carriesFuel() !== true ? [] : ['shut' => $shut];
            }
            $isKept = match ($act->name) {
                ProveDead::NAME => ($outcome->seen['proved'] ?? '') === 'dead',
                Lock::NAME => $act->get('to') === 'locked',
                TagOut::NAME => $act->get('to') === 'tagged',
                default => in_array($act->name, self::ALL, true),
            };
            $found += $isKept ? [$act->name => $i] : [];
        }
        asort($found);

        return array_values(
            array_map(
                fn (string $habit): array => Line::say(Words::say("marking.safe_habits.$habit"), $found[$habit]),
                array_keys($found),
            ),
        );
    }
}
