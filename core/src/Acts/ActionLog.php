<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Words\Words;

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
            throw new ActError('/odd_spark_actions', Words::say('acts.action_log.must_be_1_the_version'));
        }
        $unknown = array_diff(array_keys($json), ['odd_spark_actions', 'visit', 'seed', 'entries', 'notes']);
        if ($unknown !== []) {
            throw new ActError('/'.reset($unknown), Words::say('acts.action_log.not_known_here'));
        }
        $entries = $json['entries'] ?? null;
        if (! is_array($entries) || ! array_is_list($entries) || count($entries) > self::MOST) {
            throw new ActError('/entries', Words::say('acts.action_log.must_be_a_list_of', ['most' => self::MOST]));
        }
        $acts = [];
        $last = 0;
        foreach ($entries as $i => $entry) {
            if (! is_array($entry)) {
                throw new ActError("/entries/$i", Words::say('acts.action_log.must_be_an_act'));
            }
            $act = Catalogue::act($entry, "/entries/$i");
            if ($act->tick < $last) {
                throw new ActError("/entries/$i/at_s", Words::say('acts.action_log.lies_before_the_act_in'));
            }
            $acts[] = $act;
            $last = $act->tick;
        }
        $seed = $json['seed'] ?? 1;
        if (! is_int($seed)) {
            throw new ActError('/seed', Words::say('acts.action_log.must_be_a_whole_number'));
        }

        return new self($acts, isset($json['visit']) ? (string) $json['visit'] : null, $seed);
    }

    /** @return array<string, mixed> JSON Schema of the action-log document: core/schema/actions.json */
    public static function schema(): array
    {
        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'https://odd-spark.example/schema/actions-1.json',
            'title' => Words::say('acts.action_log.odd_spark_action_log_version'),
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
