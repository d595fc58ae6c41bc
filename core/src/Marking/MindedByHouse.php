<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\InHand\Take;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Safety\LeakTest;
use OddSpark\Acts\Safety\ProveDead;
use OddSpark\Acts\Setting\Door;
use OddSpark\Acts\Setting\Set;
use OddSpark\Appliance\Medium;
use OddSpark\Appliance\Port;

/** What only some houses mind, read off the log: a sealed casing opened, hands before a proof, a joint not tested. */
final readonly class MindedByHouse
{
    public function __construct(private AttemptReview $account) {}

    public function opensCasing(int $i): bool
    {
        $act = $this->account->act($i);
        $isOpened = $act->name === Door::NAME && $act->get('to') === 'open';
        foreach ($isOpened ? $this->account->plan->model->doors()->doors : [] as $door) {
            if ($door->sealed && in_array($act->get('door'), [null, $door->id], true)) {
                return true;
            }
        }

        return false;
    }

    /** Work on an electric part that was not proved dead since it was switched off. */
    public function isUnproved(int $i): bool
    {
        $act = $this->account->act($i);
        $part = $act->part();
        $isWork = $act->is(Quality::Swaps) || $act->name === Take::NAME;
        if (! $isWork || $this->account->kind($part)?->isElectric() !== true) {
            return false;
        }
        $isProved = false;
        for ($j = $i - 1; $j >= 0; $j--) {
            $before = $this->account->act($j);
            if ($before->name === Set::NAME && $this->account->kind($before->part())?->isSupply() === true) {
                return ! $isProved || $before->get('to') === 'on'; // a proof counts only of what is switched off
            }
            $isProved = $isProved || $before->name === ProveDead::NAME &&
                ($this->account->outcome($j)->seen['proved'] ?? '') === 'dead' &&
                $this->account->plan->model->partAt((string) $before->get('place')) === $part;
        }

        return true;
    }

    /** A gas part taken off or replaced, and its joints not found tight with the gas on afterwards. */
    public function isUntested(int $i): bool
    {
        $act = $this->account->act($i);
        $isOpened = $act->putsIn() || $act->name === Take::NAME && $act->get('to') === 'off';
        $gas = array_filter(
            $this->account->kind($act->part())->ports ?? [],
            fn (Port $port): bool => $port->medium === Medium::Gas,
        );
        if (! $isOpened || $gas === []) {
            return false;
        }
        foreach ($this->account->entries([LeakTest::NAME]) as $j) {
            $isTight = str_starts_with($this->account->outcome($j)->seen['joints'] ?? '', 'tight');
            if ($j > $i && $isTight && $this->account->act($j)->part() === $act->part()) {
                return false;
            }
        }

        return true;
    }
}
