<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Library;
use OddSpark\Appliance\Shapes;

/**
 * A model as the edits that made it, from an empty board: what an instructor does in the builder, one act at a time.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type Edit from Shapes
 * @phpstan-import-type BuildDocument from Library
 */
final readonly class Build
{
    /**
     * @param 'NA'|'EU' $region
     * @param list<Edit> $acts
     */
    public function __construct(
        public string $name,
        public string $title,
        public string $region,
        public array $acts,
    ) {}

    /** @param BuildDocument $written */
    public static function of(string $name, array $written): self
    {
        return new self($name, $written['title'], $written['region'], $written['acts']);
    }

    /**
     * @return ModelDocument the model that they come to
     *
     * @throws EditError at the first that cannot be made
     */
    public function document(Library $library): array
    {
        return array_reduce(
            $this->acts,
            (new Edits($library))->apply(...),
            Document::blank($this->name, $this->title, $this->region),
        );
    }

    /** How much is drawn by hand: an included appliance, a part, a wire and a pipe are one each. */
    public function size(): int
    {
        $draws = ['include', 'place', 'wire', 'pipe'];

        return count(array_filter($this->acts, fn (array $act): bool => in_array($act['do'], $draws, true)));
    }
}
