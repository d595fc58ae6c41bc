<?php

declare(strict_types=1);

namespace OddSpark\Marking;

/**
 * How far somebody has come in a competency, and how sure that is: the mean of what was shown, with Wilson's score
 * interval at 95 % (E. B. Wilson, "Probable inference, the law of succession, and statistical inference", Journal of
 * the
 * American Statistical Association 22, 1927). A job that was shown in part counts as that part of a success.
 */
final readonly class Proficiency
{
    /** Of a normal distribution, 97.5 % lie below. */
    private const Z = 1.959964;

    private function __construct(public int $jobs, public float $share, public float $low, public float $high) {}

    /** @param list<float> $shown 0 to 1, of each job */
    public static function of(array $shown): self
    {
        $n = count($shown);
        if ($n === 0) {
            return new self(0, 0.0, 0.0, 1.0);
        }
        $p = array_sum($shown) / $n;
        $z2 = self::Z ** 2;
        $middle = ($p + $z2 / (2 * $n)) / (1 + $z2 / $n);
        $half = self::Z / (1 + $z2 / $n) * sqrt($p * (1 - $p) / $n + $z2 / (4 * $n ** 2));

        return new self($n, $p, max(0.0, $middle - $half), min(1.0, $middle + $half));
    }

    /** @return array{jobs: int, share: float, low: float, high: float} */
    public function toArray(): array
    {
        return [
            'jobs' => $this->jobs, 'share' => round($this->share, 3), 'low' => round($this->low, 3),
            'high' => round($this->high, 3),
        ];
    }
}
