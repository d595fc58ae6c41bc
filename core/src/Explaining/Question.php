<?php

declare(strict_types=1);

namespace OddSpark\Explaining;

/**
 * Why a load is off at a moment: what is asked, and the chains of conditions that keep it off. Each chain leads from
 * the load to where it begins; any of them is an answer.
 *
 * @phpstan-type Link array{id: string, part: string, text: string}
 * @phpstan-type Written array{load: string, title: string, tick: int, chains: list<non-empty-list<Link>>}
 */
final readonly class Question
{
    /**
     * @param string $load "part.name"
     * @param string $title what the load is called
     * @param int $tick ms after the arrival
     * @param list<non-empty-list<Link>> $chains the load itself not in them
     */
    public function __construct(public string $load, public string $title, public int $tick, public array $chains) {}

    /**
     * @param list<string> $picked ids, in their order from the load on
     * @return Judgement of the chain to which they come nearest
     */
    public function judge(array $picked): Judgement
    {
        $all = array_map(fn (array $chain): Judgement => Judgement::of($chain, $picked), $this->chains);
        usort($all, fn (Judgement $x, Judgement $y): int => $y->share <=> $x->share);

        return $all[0];
    }

    /** @return array{where: string, circuit: string, reading: string} hints by grade, along the longest chain */
    public function hints(): array
    {
        $chains = $this->chains;
        usort($chains, fn (array $x, array $y): int => count($y) <=> count($x));
        $texts = array_column($chains[0], 'text');

        return [
            'where' => $texts[0],
            'circuit' => $texts[intdiv(count($texts), 2)],
            'reading' => $texts[count($texts) - 1],
        ];
    }

    /** @return Written for {@see of}: it holds the answer, and goes to nobody who is asked */
    public function toArray(): array
    {
        return ['load' => $this->load, 'title' => $this->title, 'tick' => $this->tick, 'chains' => $this->chains];
    }

    /** @param Written $array from {@see toArray} */
    public static function of(array $array): self
    {
        return new self($array['load'], $array['title'], $array['tick'], $array['chains']);
    }
}
