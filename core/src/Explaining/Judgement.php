<?php

declare(strict_types=1);

namespace OddSpark\Explaining;

use OddSpark\Words\Words;

/**
 * What became of one chain that somebody picked.
 *
 * @phpstan-import-type Link from Question
 */
final readonly class Judgement
{
    /**
     * @param list<string> $picked ids
     * @param float $share 0 to 1: the parts of the chain that were picked in their order, less what has no part in it
     * @param bool $isRoot it ends where the chain begins
     * @param string $why in a sentence
     */
    private function __construct(
        public array $picked,
        public float $share,
        public bool $isRoot,
        public string $why,
    ) {}

    public function isRight(): bool
    {
        return $this->share >= 1.0;
    }

    /**
     * @param non-empty-list<Link> $chain
     * @param list<string> $picked
     */
    public static function of(array $chain, array $picked): self
    {
        $at = 0;
        $met = [];
        $wrong = 0;
        foreach ($picked as $id) {
            $found = null;
            for ($i = $at; $i < count($chain) && $found === null; $i++) {
                $found = $chain[$i]['id'] === $id ? $i : null;
            }
            if ($found === null) {
                $wrong++;
            } else {
                $at = $found + 1;
                $met[$chain[$found]['part']] = true;
            }
        }
        $parts = array_values(array_unique(array_column($chain, 'part')));
        $missing = array_values(array_filter($chain, fn (array $link): bool => ! isset($met[$link['part']])));
        $root = $chain[count($chain) - 1]['part'];
        $last = $picked === [] ? null : $picked[count($picked) - 1];
        $ends = array_column(array_filter($chain, fn (array $link): bool => $link['part'] === $root), 'id');

        return new self(
            $picked,
            max(0.0, (count($met) - $wrong) / count($parts)),
            in_array($last, $ends, true),
            match (true) {
                $picked === [] => Words::say('explaining.judgement.nothing_was_said'),
                $missing === [] && $wrong === 0 => Words::say('explaining.judgement.right'),
                $missing !== [] => Words::say('explaining.judgement.missing', ['text' => $missing[0]['text']]),
                default => Words::say('explaining.judgement.too_much'),
            },
        );
    }

    /** @return array{picked: list<string>, share: float, root: bool, why: string, right: bool} */
    public function toArray(): array
    {
        return [
            'picked' => $this->picked, 'share' => $this->share, 'root' => $this->isRoot, 'why' => $this->why,
            'right' => $this->isRight(),
        ];
    }
}
