<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Primitive;
use OddSpark\Parts\Primitive as P;
use OddSpark\Process;
use OddSpark\Sequence\Control;

/** The primitives that documents may name: the only list of them. */
final class Primitives
{
    /** What needs pipes, in a part that none leads to. */
    public const UNJOINED = 'unjoined';

    /** @var array<string, class-string<Primitive>> */
    public const TYPES = [
        'lever' => P\Lever::class,
        'contact' => P\Contact::class,
        'sensor' => P\Sensor::class,
        'coil' => P\Coil::class,
        'resistor' => P\Resistor::class,
        'capacitor' => P\Capacitor::class,
        'run-capacitor' => P\RunCapacitor::class,
        'source' => P\Source::class,
        'dc-source' => P\DcSource::class,
        'thermo-source' => P\ThermoSource::class,
        'protector' => P\Protector::class,
        'windings' => P\Windings::class,
        'fuse' => P\Fuse::class,
        'heater' => P\Heater::class,
        'motor' => P\Motor::class,
        'electronic-motor' => P\ElectronicMotor::class,
        'signal' => P\Signal::class,
        'modulator' => P\Modulator::class,
        'passage' => P\Passage::class,
        'spark-gap' => P\SparkGap::class,
        'diode' => P\Diode::class,
        'flame-path' => P\FlamePath::class,
        'set-switch' => P\SetSwitch::class,
        'clock' => P\Clock::class,
        'actuator' => P\Actuator::class,
        'mid-position' => P\MidPosition::class,
        'light-resistor' => P\LightResistor::class,
        'wire' => P\Wire::class,
        'stray' => P\Stray::class,
        'room-thermostat' => P\RoomThermostat::class,
        'control' => Control::class,
        'draught' => Process\Draught::class,
        'burner' => Process\Burner::class,
        'exchanger' => Process\Exchanger::class,
        'follower' => Process\Follower::class,
        'rollout' => Process\Rollout::class,
        'room' => Process\Room::class,
        'store' => Process\Store::class,
        'still' => Process\Still::class,
        'way' => Process\Way::class,
        'pressure' => Process\Pressure::class,
        'combustion' => Process\Combustion::class,
        'heat-store' => Process\HeatStore::class,
        'stream-heat' => Process\StreamHeat::class,
        'spot' => Process\Spot::class,
        'flue-gas' => Process\FlueGas::class,
        'combustion-efficiency' => Process\CombustionEfficiency::class,
        'basin' => Process\Basin::class,
        'meter-dial' => Process\MeterDial::class,
        'stack-heat' => Process\StackHeat::class,
        'joint-pressure' => Process\JointPressure::class,
        'conduit' => Process\Flow\Conduit::class,
        'source-pipe' => Process\Flow\Source::class,
        'regulator' => Process\Flow\Regulator::class,
        'mover' => Process\Flow\Mover::class,
        'stack' => Process\Flow\Stack::class,
        'orifice' => Process\Flow\Orifice::class,
        self::UNJOINED => Process\Unjoined::class,
        'network' => Process\Flow\Network::class,
    ];

    /** Whether a kind of part can be made of it: the elements of a process belong to no part. */
    public static function isOfPart(string $type): bool
    {
        return isset(self::TYPES[$type]) && (self::TYPES[$type]::GIVEN === [] || self::TYPES[$type]::IN_KINDS);
    }
}
