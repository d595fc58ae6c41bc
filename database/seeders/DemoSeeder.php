<?php

namespace Database\Seeders;

use App\Bench\AssignJob;
use App\Bench\Attempts;
use App\Bench\MarkAttempts;
use App\Bench\Predictions;
use App\Bench\Workbench;
use App\Building\DraftEditor;
use App\Building\LabBook;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\AssignmentWork;
use App\Models\Course;
use App\Models\Draft;
use App\Models\Role;
use App\Models\RuleSet;
use App\Models\Share;
use App\Models\User;
use App\Work\Asked;
use Illuminate\Database\Seeder;
use OddSpark\Appliance\Library;
use OddSpark\Building\LabList;

/**
 * A made-up training centre: the Saltmarsh Lane Trades Centre, its evening class, and calls from
 * buildings that do not exist.
 */
class DemoSeeder extends Seeder
{
    public const PASSWORD = 'copper-lamp';

    private const TRAINEES = ['Tova', 'Brannoc', 'Isolde', 'Marek', 'Priya', 'Oyelaran', 'Sunniva', 'Wendell'];

    public function __construct(
        private readonly AssignJob $giving,
        private readonly Attempts $attempts,
        private readonly Workbench $workbench,
        private readonly MarkAttempts $judging,
        private readonly DraftEditor $drafting,
        private readonly LabBook $lab,
    ) {}

    public function run(): void
    {
        RuleSet::ship();
        $instructor = $this->person('Ines Calloway', 'ines', Role::Instructor);
        $course = Course::query()->create([
            'instructor_id' => $instructor->id,
            'name' => 'Heating controls, evening class',
        ]);
        foreach (self::TRAINEES as $name) {
            $course->trainees()->attach($this->person($name, mb_strtolower($name), Role::Trainee)->id);
        }
        $this->person('Edda Wray', 'edda', Role::Administrator);
        $course->staff()->attach($this->person('Anselm Pike', 'anselm', Role::Assessor)->id, ['part' => 'marks']);
        foreach ((new Library())->names() as $name) {
            $shipped[$name] = Appliance::ship($name);
        }
        $furnace = $shipped['furnace-80'];
        $list = (string) file_get_contents(__DIR__.'/lab-book.csv');
        $this->lab->note($instructor, $furnace, (new LabList($furnace->model()))->read($list));
        $all = $course->trainees()->pluck('users.id')->all();

        $bindery = $this->giving->give(
            $instructor,
            $furnace,
            $course,
            $all,
            'Bookbinder\'s workshop: fan runs, no heat',
            'limit:stuck-open',
            'cold',
            AssignmentKind::Practice,
            'We have no heat at all in the bindery. The fan never stops, the paper is curling.',
            41,
        );
        $this->giving->give(
            $instructor,
            $furnace,
            $course,
            $all,
            'Seed library: went cold at noon',
            'igniter:cracked',
            'cold',
            AssignmentKind::Practice,
            'No heat since noon. Something smelt for a moment, then nothing more. The seed trays must not freeze.',
            42,
        );
        $this->giving->give(
            $instructor,
            $furnace,
            $course,
            array_slice($all, 0, 6),
            'Ferry ticket hall: on and off',
            'filter:blocked@nearly',
            'hot',
            AssignmentKind::Exam,
            'It was heating, then the burner quit. It does that over and over on cold days.',
            43,
        );

        $this->giving->give(
            $instructor,
            $shipped['mid-position-230'],
            $course,
            array_slice($all, 2, 3),
            'Crew house: radiators only along with the bath',
            'three-port:motor-dead',
            'winter',
            AssignmentKind::Practice,
            'The radiators get a little warm when the hot water comes on, and never otherwise.',
            44,
        );
        $this->giving->give(
            $instructor,
            $shipped['zones-hydronic'],
            $course,
            array_slice($all, 4, 4),
            'Music school: practice rooms far too warm',
            'zv2:seized-open',
            'evening',
            AssignmentKind::Practice,
            'It gets too warm in the practice rooms, and the boiler never rests.',
            45,
        );
        $this->otherWork($instructor, $course, $all);

        $this->attempt($bindery, 'brannoc', $this->good());
        $this->attempt($bindery, 'isolde', $this->hasty());
        $this->making($instructor, $this->person('Oona Tarrant', 'oona', Role::Instructor));
    }

    /**
     * A job of each kind that is not to trace a fault.
     *
     * @param list<int> $trainees
     */
    private function otherWork(User $instructor, Course $course, array $trainees): void
    {
        $jobs = [
            ['furnace-80', 'healthy', 46, new Asked(AssignmentWork::Predict, Predictions::USUAL),
                'Paper mill office: say it before you read it', 'It heats. What would a meter show, and when?'],
            ['boiler-hydronic', 'healthy', 47, new Asked(AssignmentWork::Wire, wires: 'control'),
                'Dye house annex: wire the boiler',
                'The boiler stands and its parts are mounted. Wire its control circuit and put it into service.'],
            ['boiler-hydronic', 'high:stuck-open', 48, new Asked(AssignmentWork::Explain, 3),
                'Seed store: why is it off?', 'It does not heat. You know why: say what follows from what.'],
            ['furnace-80', 'healthy', 49, new Asked(AssignmentWork::Order, 10),
                'Paper mill office: what comes after what?',
                'It heats. Say how it gets there, and where other calls of it stopped.'],
            ['furnace-80', 'valve:set-high@some', 50, new Asked(AssignmentWork::Commission),
                'Paper mill archive: put it into service',
                'It was overhauled last week. Measure it, put it right, and sign its sheet.'],
            ['package-direct-spark', 'inducer-relay:tired', 52, new Asked(AssignmentWork::Return),
                'Sail loft: cold every morning', 'It runs while you look at it. In the morning it is cold again.'],
            ['unit-heater', 'valve:main-coil-open', 53, new Asked(AssignmentWork::Compare),
                'Bottling hall: the left heater', 'The left one stays cold. The right one, of the same make, heats.'],
            ['boiler-hydronic', 'high:stuck-open', 54, new Asked(AssignmentWork::Remote),
                'Ferry office, by telephone', 'It is cold here. I have a meter, if you tell me where to put it.'],
            ['tube-heater', 'healthy', 51, new Asked(AssignmentWork::Swap),
                'Net store: another make of control', 'The old control is off. Fit the new one, and put it into service.'],
        ];
        foreach ($jobs as [$model, $fault, $seed, $asked, $title, $complaint]) {
            $this->giving->give($instructor, Appliance::ship($model), $course, $trainees, $title, $fault, 'cold',
                AssignmentKind::Practice, $complaint, $seed, asked: $asked);
        }
    }

    /** A model being built, by two hands: it runs, and its checks have something to say. */
    private function making(User $one, User $other): void
    {
        $library = new Library();
        $draft = $this->drafting->begin(
            $one,
            ['title' => 'Letterpress shop, second furnace', 'name' => 'letterpress-shop'] +
                $library->document('furnace-standing-pilot'),
            'Begun from "furnace-standing-pilot".',
        );
        Share::settle(Draft::sharedAs(), $draft->name, null, Share::EDIT);
        $step = fn (User $by, array ...$edits) => $this->drafting->edit(
            $draft,
            $by,
            (int) $draft->refresh()->step,
            $edits,
        );
        $step(
            $one,
            ['do' => 'place', 'kind' => 'limit-switch', 'at' => [560, 330], 'label' => 'Second limit', 'id' => 'limit'],
            ['do' => 'pipe', 'from' => 'exchanger.plenum', 'to' => 'limit.seat'],
        );
        $step(
            $one,
            ['do' => 'remove', 'wires' => ['w14']],
            ['do' => 'wire', 'from' => 'valve.TR', 'to' => 'limit.a', 'colour' => 'blue'],
            ['do' => 'wire', 'from' => 'limit.b', 'to' => 'transformer.X2', 'colour' => 'blue'],
        );
        $step($other, ['do' => 'rewire', 'wire' => 'w02', 'awg' => 18]);
        $draft->steps()->where('number', 0)->update(['label' => 'as shipped']);
    }

    private function person(string $name, string $mailbox, Role $role): User
    {
        return User::query()->create([
            'name' => $name,
            'email' => "$mailbox@demo.example",
            'role' => $role,
            'password' => self::PASSWORD,
        ]);
    }

    /** @param list<array<string, mixed>> $acts */
    private function attempt(Assignment $assignment, string $mailbox, array $acts): void
    {
        $user = User::query()->where('email', "$mailbox@demo.example")->firstOrFail();
        $attempt = $this->attempts->start($assignment, $user);
        foreach ($acts as $i => $act) {
            // time is played in steps no longer than what a reply looks ahead
            $now = json_decode($attempt->fresh()->state, true);
            for ($t = ($now['tick'] - $now['zero']) + 9000; $t < $act['at_s'] * 1000; $t += 9000) {
                $this->workbench->play($attempt, $t);
            }
            $this->workbench->act($attempt, ['id' => "demo-$i"] + $act);
        }
        $this->judging->mark($attempt->fresh());
    }

    /** Basics, then along the limit circuit, repair, and a cycle watched. @return list<array<string, mixed>> */
    private function good(): array
    {
        return [
            ['at_s' => 4, 'act' => 'look', 'part' => 'thermostat'],
            ['at_s' => 9, 'act' => 'look', 'part' => 'breaker'],
            ['at_s' => 13, 'act' => 'look', 'part' => 'service'],
            ['at_s' => 18, 'act' => 'look', 'part' => 'cock'],
            ['at_s' => 24, 'act' => 'look', 'part' => 'filter'],
            ['at_s' => 33, 'act' => 'door', 'to' => 'open'],
            ['at_s' => 36, 'act' => 'hold', 'to' => 'held'],
            ['at_s' => 58, 'act' => 'leads', 'red' => 'limit.a', 'black' => 'board.C'],
            ['at_s' => 60, 'act' => 'meant', 'meaning' => 'good'],
            ['at_s' => 66, 'act' => 'leads', 'red' => 'limit.b', 'black' => 'board.C'],
            ['at_s' => 68, 'act' => 'meant', 'meaning' => 'bad'],
            ['at_s' => 75, 'act' => 'leads', 'red' => 'limit.a', 'black' => 'limit.b'],
            ['at_s' => 84, 'act' => 'name', 'fault' => 'limit:stuck-open'],
            ['at_s' => 90, 'act' => 'hold', 'to' => 'released'],
            ['at_s' => 94, 'act' => 'set', 'part' => 'service', 'lever' => 'lever', 'to' => 'off'],
            ['at_s' => 99, 'act' => 'leads', 'red' => null, 'black' => null],
            ['at_s' => 104, 'act' => 'mend', 'part' => 'limit', 'how' => 'replace'],
            ['at_s' => 112, 'act' => 'door', 'to' => 'shut'],
            ['at_s' => 116, 'act' => 'set', 'part' => 'service', 'lever' => 'lever', 'to' => 'on'],
            ['at_s' => 250, 'act' => 'hand_back'],
        ];
    }

    /** Straight to the valve, two parts on suspicion, the switch left held. @return list<array<string, mixed>> */
    private function hasty(): array
    {
        return [
            ['at_s' => 3, 'act' => 'door', 'to' => 'open'],
            ['at_s' => 5, 'act' => 'hold', 'to' => 'held'],
            ['at_s' => 20, 'act' => 'leads', 'red' => 'valve.MV', 'black' => 'valve.MVC'],
            ['at_s' => 22, 'act' => 'meant', 'meaning' => 'bad'],
            ['at_s' => 30, 'act' => 'leads', 'red' => 'igniter.1', 'black' => 'igniter.2'],
            ['at_s' => 41, 'act' => 'mend', 'part' => 'valve', 'how' => 'replace'],
            ['at_s' => 60, 'act' => 'leads', 'red' => 'valve.MV', 'black' => 'valve.MVC'],
            ['at_s' => 70, 'act' => 'dial', 'mode' => 'ohm'],
            ['at_s' => 72, 'act' => 'leads', 'red' => 'board.LIM-OUT', 'black' => 'board.LIM-IN'],
            ['at_s' => 80, 'act' => 'name', 'fault' => 'board:limit-input-dead'],
            ['at_s' => 85, 'act' => 'mend', 'part' => 'board', 'how' => 'replace'],
            ['at_s' => 110, 'act' => 'mend', 'part' => 'limit', 'how' => 'replace'],
            ['at_s' => 140, 'act' => 'hand_back'],
        ];
    }
}
