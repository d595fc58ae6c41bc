<?php

declare(strict_types=1);

namespace OddSpark\Acts;

/** What would hurt in life, said once and plainly where it is done. */
final class Danger
{
    public const TEXT = [
        'ohms-on-live' => 'Ohms on a live circuit. The reading means nothing, and it can destroy the meter or hurt you. Turn the power off first.',
        'meter-fuse' => 'A current range across a source: its fuse has blown, and the meter shows nothing on it until it is replaced. Amps of any size go in series only.',
        'live-work' => 'Hands on a conductor with line voltage on it: in life that is a shock. Breaker or service switch off, and proved off.',
        'charged-capacitor' => 'Hands on a capacitor that still holds its charge. Discharge it through a resistor first, and prove it with a meter.',
        'shorted-capacitor' => 'A blade across a charged capacitor: an arc at the hand, and it can burst. Discharge it through a resistor.',
        'igniter-knocked' => 'A hot-surface igniter was knocked: it is brittle, and has broken. It needs a new one.',
        'igniter-touched' => 'Bare fingers on an igniter: skin oil burns into it, and it fails early.',
        'harsh-cleaning' => 'Cleaned with what harms it: the grit of sandpaper glazes onto a flame rod and insulates it, and a wire widens an orifice.',
        'spark-lead' => 'Hands or meter leads on a spark lead while it fires: thousands of volts jump to the hand, and into the meter. Power off first.',
        'hot-igniter' => 'A hand on a hot igniter: it burns, and what a finger leaves on the element spoils it.',
        'reset-again' => 'A safety was reset again with nothing done in between: it trips for a reason, and the reason is still there.',
        'rollout-reset' => 'A tripped rollout was reset: flame has been where it must not be. It is never just reset; find out why.',
        'safety-jumpered' => 'A safety was bridged: nothing would stop the burner now. Prove it by volts on both sides, or by ohms with the power off.',
        'valve-jumpered' => 'Volts were brought to a fuel valve past its control: that lights fuel with no flame proved.',
        'gas-opened' => 'A gas part was opened with pressure on it: gas streams into the room. Shut the cock before it, and check the joint for leaks afterwards.',
        'oil-opened' => 'An oil part was opened with the line open: oil runs out, and air gets in. Shut the valve at the tank first.',
        'water-opened' => 'A pump was opened with its isolating valves open: hot water comes out under pressure. Shut both before it, and open them afterwards.',
        'lock-left' => 'You left a lock on the supply or the fuel. Nobody else can take it off.',
        'tag-unsaid' => 'Tagged out, and the customer was not told that it must not be used.',
        'head-off' => 'You left the head off a valve.',
        'setting-left' => 'You left a thermostat or a programmer set differently than the customer had it.',
        'part-off' => 'You left a part off.',
        'jumper-left' => 'You left a jumper in.',
        'suction' => 'Suction by mouth on a pressure switch: it has torn the diaphragm and proves nothing about the draft. Replace the switch, and measure at the hose with a manometer.',
        'gas-trials' => 'Fuel was left on through trial after trial without a light: it gathers where it can burn all at once. Shut the cock while you look for the reason, and air it out.',
        'casing-opened' => 'A room-sealed casing was opened: that is for those licensed for it, and its seal is proved before it burns again.',
        'not-proved-dead' => 'Hands on a part that was not proved dead: these rules want it proved, with the tester on a known source before and after.',
        'joint-untested' => 'A gas joint that was opened was not tested for leaks with the gas on again.',
        'flue-aside' => 'A flue pipe pushed aside lets flue gas into the room. One trial at most, with outdoor air and a watch on the flame; a draft reading at the hose says the same.',
        'flue-left' => 'You left the flue pipe pushed aside.',
        'filter-left' => 'You left the filter out.',
        'over-fused' => 'A larger fuse than the one that belongs there: the next short burns the wire and not the fuse.',
        'moving-part' => 'Hands on a shaft that turns.',
        'pushed-by-hand' => 'A contactor pushed in by hand runs what it feeds past every control; the arc is at the finger.',
        'door-switch-held' => 'You left the door switch held in. The furnace would run with its blower door off.',
        'door-open' => 'You left the door off.',
        'power-off' => 'You left the power off. The customer has no heat and does not know.',
        'wire-lifted' => 'You left a wire off its terminal.',
    ];

    /** Of those, what only some houses mind: it is told where they stop it, and judged where they say so. */
    public const BY_HOUSE = ['casing-opened'];

    /** Of those, what is known only when all is done, so that nothing can stop it. */
    public const JUDGED = ['not-proved-dead', 'joint-untested'];

    /** Of those, what puts the meter at risk, or leaves nobody hurt at once. */
    public const SLIGHT = [
        'ohms-on-live',
        'meter-fuse',
        'suction',
        'reset-again',
        'filter-left',
        'door-open',
        'power-off',
        'wire-lifted',
        'part-off',
        'igniter-knocked',
        'igniter-touched',
        'harsh-cleaning',
        'head-off',
        'setting-left',
        'lock-left',
        'oil-opened',
        'water-opened',
        'casing-opened',
        'not-proved-dead',
        'joint-untested',
    ];

    /** @return array<string, string> what house rules can stop before it is done */
    public static function stoppable(): array
    {
        return array_diff_key(self::TEXT, array_flip(self::JUDGED));
    }
}
