<?php

namespace App\Building;

use App\Models\Appliance;
use App\Models\Draft;
use App\Models\LabReading;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use OddSpark\Appliance\Library;
use OddSpark\Building\Document;
use OddSpark\Building\EditError;
use OddSpark\Building\Edits;
use OddSpark\Building\Fit;
use OddSpark\Building\LabList;

/**
 * A model's lab book: what was read on real units of it, beside what the model gives, and the model fitted to a unit.
 *
 * @phpstan-import-type LabRow from LabList
 */
class LabBook
{
    /** Readings that are compared or fitted at once: the last of them. */
    public const COMPARED = 60;

    /** Of one model. */
    private const MOST = 2000;

    public function __construct(private readonly Library $library, private readonly DraftEditor $editor) {}

    /** @return Collection<int, LabReading> the last first */
    public function of(Appliance $appliance, string $unit = ''): Collection
    {
        return LabReading::query()->where('appliance_id', $appliance->id)
            ->when($unit !== '', fn ($q) => $q->where('unit', $unit))
            ->orderByDesc('date')->orderByDesc('id')->get();
    }

    /**
     * @param list<LabRow> $rows
     *
     * @throws EditError
     */
    public function note(User $user, Appliance $appliance, array $rows): void
    {
        DB::transaction(function () use ($user, $appliance, $rows): void {
            Appliance::query()->whereKey($appliance->id)->lockForUpdate()->first();
            $there = LabReading::query()->where('appliance_id', $appliance->id)->count();
            if ($there + count($rows) > self::MOST) {
                throw new EditError('/csv', sprintf('A book holds %d readings; %d are in it.', self::MOST, $there));
            }
            foreach ($rows as $row) {
                LabReading::query()->create($row + ['appliance_id' => $appliance->id, 'user_id' => $user->id]);
            }
        });
    }

    /**
     * What the model gives for the last readings.
     *
     * @return list<array<string, mixed>> with the id of each reading
     */
    public function compared(Appliance $appliance): array
    {
        $readings = $this->of($appliance)->take(self::COMPARED)->values();
        $rows = $this->fit()->compared($this->document($appliance), ...$this->asked($readings));

        return $readings->map(fn (LabReading $r, int $i) => ['id' => $r->id] + $rows[$i])->all();
    }

    /** @return array<string, mixed> changes, and what was given before and after, by reading */
    public function fitted(Appliance $appliance, string $unit): array
    {
        $readings = $this->of($appliance, $unit)->take(self::COMPARED)->values();
        $fit = $this->fit()->of($this->document($appliance), ...$this->asked($readings));
        foreach (['before', 'after'] as $when) {
            $fit[$when] = $readings->map(fn (LabReading $r, int $i) => ['id' => $r->id] + $fit[$when][$i])->all();
        }

        return $fit;
    }

    /** A model of one's own, fitted to a unit; null where nothing was changed. */
    public function keep(User $user, Appliance $appliance, string $unit): ?Draft
    {
        $changes = $this->fitted($appliance, $unit)['changes'];
        if ($changes === []) {
            return null;
        }
        $document = Document::read(Document::text($this->document($appliance)), $this->library);
        foreach ($changes as $change) {
            $document = (new Edits($this->library))->apply($document, $change['edit']);
        }
        $document['title'] = "{$document['title']}, as {$unit}";

        return $this->editor->begin($user, $document, "Fitted to the readings of {$unit}.");
    }

    /**
     * @param \Illuminate\Support\Collection<int, LabReading> $readings
     * @return array{list<array<string, string|float>>, list<float>}
     */
    private function asked($readings): array
    {
        return [
            $readings->map(fn (LabReading $r) => $r->moment())->all(),
            $readings->map(fn (LabReading $r) => $r->value)->all(),
        ];
    }

    /** @return array<string, mixed> as it was written, where that is at hand */
    private function document(Appliance $appliance): array
    {
        if (in_array($appliance->name, $this->library->names(), true)) {
            return $this->library->document($appliance->name);
        }

        return Draft::query()->where(
            'appliance_id',
            $appliance->id,
        )->first()?->content() ?? json_decode($appliance->document, true);
    }

    private function fit(): Fit
    {
        return new Fit($this->library, Running::memory(...));
    }
}
