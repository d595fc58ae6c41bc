<?php

declare(strict_types=1);

namespace OddSpark\Acts;

/** What a person did, in order: the action-log document. */
final readonly class ActionLog
{
    private const MOST = 2000;

    /** @param list<Act> $acts */
    public function __construct(public array $acts, public ?string $visit = null, public int $seed = 1) {}

    /**
     * @param array<string, mixed> $json {odd_spark_actions: 1, visit?, seed?, entries: [{at_s, act, …}]}
     *
     * @throws ActError
     */
    public static function of(array $json): self
    {
        if (($json['odd_spark_actions'] ?? null) !== 1) {
            throw new ActError('/odd_spark_actions', 'Must be 1, the version of this format.');
        }
        $unknown = array_diff(array_keys($json), ['odd_spark_actions', 'visit', 'seed', 'entries', 'notes']);
        if ($unknown !== []) {
            throw new ActError('/'.reset($unknown), 'Not known here.');
        }
        $entries = $json['entries'] ?? null;
        if (! is_array($entries) || ! array_is_list($entries) || count($entries) > self::MOST) {
            throw new ActError('/entries', 'Must be a list of at most '.self::MOST.' acts.');
        }
        $acts = [];
        $last = 0;
        foreach ($entries as $i => $entry) {
            if (! is_array($entry)) {
                throw new ActError("/entries/$i", 'Must be an act.');
            }
            $act = Catalogue::act($entry, "/entries/$i");
            if ($act->tick < $last) {
                throw new ActError("/entries/$i/at_s", 'Lies before the act in front of it.');
            }
            $acts[] = $act;
            $last = $act->tick;
        }
        $seed = $json['seed'] ?? 1;
        if (! is_int($seed)) {
            throw new ActError('/seed', 'Must be a whole number.');
        }

        return new self($acts, isset($json['visit']) ? (string) $json['visit'] : null, $seed);
    }

    /** @return array<string, mixed> JSON Schema of the action-log document: core/schema/actions.json */
    public static function schema(): array
    {
        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'https://odd-spark.example/schema/actions-1.json',
            'title' => 'Odd Spark action log, version 1',
            'type' => 'object',
            'required' => ['odd_spark_actions', 'entries'],
            'additionalProperties' => false,
            'properties' => [
                'odd_spark_actions' => ['const' => 1],
                'visit' => ['type' => 'string'],
                'seed' => ['type' => 'integer'],
                'notes' => ['type' => 'string'],
                'entries' => ['type' => 'array', 'maxItems' => self::MOST, 'items' => Catalogue::schema()],
            ],
        ];
    }
}
