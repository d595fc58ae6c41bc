/** What each page is for, and the keys that work on it. */
export interface Topic {
    says: string[]
    keys?: [string, string][]
}

const LOOK_AROUND: [string, string][] = [
    ['0', 'the whole board, and back'],
    ['/', 'find a part or a terminal'],
]

/** By the name of the page. */
export const HELP: Record<string, Topic> = {
    Shop: {
        says: [
            'Your classes and the jobs you have given. Press a job to see how each trainee did.',
            'To give a new job, pick a model, set a fault in it, and give it to a class.',
        ],
    },
    Models: {
        says: [
            'The appliances faults can be set in. Find one by a word, or filter by fuel, ignition, heat and supply.',
            'Press “Set a fault” to choose the fault, read the complaint it causes, and give it as a job.',
        ],
    },
    Model: {
        says: [
            'Choose a fault at the left: the tape below shows what the appliance then does, beside the healthy run.',
            'The complaint at the right is computed from that run. You can put it in other words.',
            'Give the job at the right: title, class, trainees, rules, practice or examination.',
        ],
        keys: LOOK_AROUND,
    },
    Lab: {
        says: [
            'Readings from the real units in your lab, beside the model’s at the same place and time.',
            'Note readings one by one, or take in a list from a spreadsheet. Amps are read in series: put one lead on the end of a lifted wire. Ohms are those of the part alone.',
            'Fit the model to a unit and keep it as a model of your own. You see which figures changed, and by how much.',
        ],
    },
    Drafts: {
        says: [
            'Models you are building. Start with a blank board, a copy of a shipped model, or a file.',
            'A model that is published is on the Models page, and jobs can be given on it.',
        ],
    },
    Builder: {
        says: [
            'Pick a part at the left, then press the board where it goes. Press two terminals to draw a wire between them, two ports to join a pipe.',
            'Checks says what is wrong with the wiring, what a fix would do, and lets you put a finding aside with a reason.',
            'Run shows the healthy cycle with the volts at each terminal, and why something is off.',
            'Files publishes the model, exports it, and brings wire lists in.',
        ],
        keys: [
            ...LOOK_AROUND,
            ['Arrows', 'move between terminals'],
            ['Enter', 'begin or end a wire at the terminal'],
            ['Alt and arrows', 'move the picked part'],
            ['Delete', 'remove what is picked'],
            ['Ctrl Z', 'undo'],
            ['Escape', 'put back what is in hand'],
        ],
    },
    Kinds: {
        says: [
            'Parts of your own: terminals, the components inside, what a person sees, and how the part fails.',
            'A custom part is computed the same way as a shipped one.',
        ],
    },
    Rules: {
        says: [
            'House rules say what is marked, how many points each line has, what fails a job outright, and what the trainee may use.',
            'Saving makes a new version. Jobs keep the version they were given with.',
        ],
    },
    Job: {
        says: [
            'The story of this job, its fault, and how each trainee did. Open a debrief to see every reading and what it proved.',
            'You can try the job yourself, and mark it again by other rules. Old marks are kept.',
        ],
    },
    Wall: {
        says: [
            'Everybody of the class who is at a bench: the job, the last act in words, how many suspects it left, and who has been stuck for minutes.',
            'Stop all benches to speak to everybody; clocks stand as well. Talk to one, give a free hint, look over a shoulder, or end a call.',
            'A red frame: something unsafe was done. A copper frame: a hand is up.',
        ],
    },
    Plan: {
        says: [
            'The jobs of a class by weeks. Give the whole plan to another class, moved so that the first job opens on a day you choose.',
            'The jobs are given as they were frozen; faults that are drawn are drawn anew.',
        ],
    },
    School: {
        says: [
            'Accounts of the staff and, by a search, of trainees: a new link, another role, closed, what is kept about somebody, or the name taken away.',
            'What holds for all: a second factor for staff, idle time by role, how long names are kept. The audit log has who did what, by numbers.',
        ],
    },
    Assess: {
        says: [
            'The classes in which you mark, with their jobs. Open a job, then the debrief of a trainee, to set a line of the mark with your reason.',
        ],
    },
    People: {
        says: [
            'Your classes. Add people from a list, hand each a personal link, or give out a join code that expires.',
            'A link sets one password, once. New link also lets somebody in who forgot the password.',
            'Nobody needs a real name or a mail address. Somebody without one gets a sign-in name.',
            'Colleagues can teach or mark in a class that you lead.',
        ],
    },
    Gradebook: {
        says: [
            'Marks of every job, and what each trainee has shown: tracing and finding count for the part that had failed, technique for the meter, safety and verification for themselves.',
            'Few jobs make a wide bar: it says little yet. Practise next names what was shown least surely.',
        ],
    },
    Progress: {
        says: ['What you have shown in the jobs you closed, and what to practise next. A wide bar says little yet.'],
    },
    Account: { says: ['Your password, your classes, and where you are signed in.'] },
    MyJobs: {
        says: [
            'The jobs you were given. Begin one, find the fault, repair it, check it, and close the call.',
            'The warm-up is a board with nothing wrong, where you can try every tool. It is not marked.',
        ],
    },
    Bench: {
        says: [
            'Read the call sheet, then check the basics: power, fuel, what the thermostat asks for.',
            'Press a terminal to put the lead in hand on it. Press a part to look at it, set it or repair it.',
            'Run lets time pass; Next event goes on to the next thing you could see or hear.',
            'Rule out suspects as you learn. Name the fault before you repair it, then verify with a full cycle.',
            'Close the call when the appliance works and everything is back in place.',
        ],
        keys: [
            ...LOOK_AROUND,
            ['Arrows', 'move the cursor between terminals'],
            ['Shift and arrows', 'follow the wire to its other end'],
            ['Enter', 'put the lead in hand on the terminal'],
            ['R, B', 'take the red or the black lead'],
            ['Space', 'run or pause'],
            ['N', 'next event'],
            ['L', 'look at the part'],
            ['S, X', 'star or rule out a suspect in its list'],
        ],
    },
    Debrief: {
        says: [
            'Replay goes through the attempt, entry by entry: where the leads were, what was read, what it ruled out.',
            'Mark shows each line with its reason. Press an entry number to go to it.',
            '“Better here” shows the reading that would have split the suspects best at that moment.',
        ],
    },
    Marking: { says: ['The marks are being computed. You can leave this page.'] },
    Reference: {
        says: [
            'Values of the trade with their sources, and sums: fill in the figures and read the result.',
            'Common practice has no source. On real equipment the maker’s instructions come first.',
        ],
    },
}
