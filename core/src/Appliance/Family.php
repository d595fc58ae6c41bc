<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Trade\Competency;

/**
 * The families of kinds, as the schema lists them, and what each is to an appliance: the only place that sorts them.
 */
enum Family: string
{
    case Airflow = 'airflow';
    case Blower = 'blower';
    case BurnerMotor = 'burner motor';
    case Burners = 'burners';
    case Control = 'control';
    case Cooling = 'cooling';
    case Draught = 'draught';
    case Exchanger = 'exchanger';
    case Flame = 'flame';
    case Fuse = 'fuse';
    case GasSupply = 'gas supply';
    case GasValve = 'gas valve';
    case Ground = 'ground';
    case Igniter = 'igniter';
    case Ignition = 'ignition';
    case Inducer = 'inducer';
    case Limit = 'limit';
    case OilSupply = 'oil supply';
    case OilValve = 'oil valve';
    case Own = 'own';
    case Pilot = 'pilot';
    case Pump = 'pump';
    case Relay = 'relay';
    case Rollout = 'rollout';
    case Safety = 'safety';
    case Splices = 'splices';
    case Supply = 'supply';
    case Switches = 'switches';
    case Thermostat = 'thermostat';
    case Transformer = 'transformer';
    case Water = 'water';
    case ZoneValve = 'zone valve';

    /** What its sensors guard against, if it is a safety. */
    public function guards(): ?Guarded
    {
        return match ($this) {
            self::Limit => Guarded::Heat,
            self::Rollout => Guarded::Rollout,
            self::Draught => Guarded::Draught,
            self::Safety => Guarded::Water,
            default => null,
        };
    }

    /** What finding a fault of it shows that somebody can do; null for what says nothing of one thing. */
    public function competency(): ?Competency
    {
        return match ($this) {
            self::Supply, self::Transformer, self::Fuse, self::Switches, self::Ground,
            self::Splices => Competency::Supply,
            self::Control, self::Relay, self::Thermostat => Competency::Control,
            self::Cooling => Competency::Cooling,
            self::Igniter, self::Ignition, self::GasValve, self::GasSupply, self::Burners,
            self::Pilot => Competency::Ignition,
            self::Flame => Competency::Proving,
            self::Airflow, self::Blower, self::Limit, self::Rollout, self::Draught, self::Inducer,
            self::Exchanger => Competency::Airflow,
            self::Pump, self::Water, self::ZoneValve, self::Safety => Competency::Hydronics,
            self::OilSupply, self::OilValve, self::BurnerMotor => Competency::Oil,
            self::Own => null,
        };
    }

    public function isFuelValve(): bool
    {
        return $this === self::GasValve || $this === self::OilValve;
    }

    public function isFuelSupply(): bool
    {
        return $this === self::GasSupply || $this === self::OilSupply;
    }

    /** Whether whoever touches it touches what carries its volts: there is nothing round it. */
    public function isBare(): bool
    {
        return in_array($this, [self::Flame, self::Igniter, self::Ignition], true);
    }

    /** Whether parts of it are taken off on a visit: house wiring, iron and ground stay where they are. */
    public function comesOff(): bool
    {
        return ! in_array($this, [self::Supply, self::Ground, self::Exchanger, self::GasSupply, self::Airflow], true);
    }

    /** Lets power, fuel, air or flue gas through; nothing is set on it to see what an appliance does. */
    public function isUtility(): bool
    {
        return $this->isFuelSupply() || in_array($this, [self::Supply, self::Draught, self::Airflow], true);
    }

    /** Stands before the appliance, in the wiring of the house. */
    public function isHouseWiring(): bool
    {
        return $this === self::Supply || $this === self::Switches;
    }

    /** How its lane on the tape looks. */
    public function tone(): string
    {
        return match ($this) {
            self::Blower, self::BurnerMotor, self::Cooling, self::Inducer, self::Pump => 'moving',
            self::Igniter, self::Ignition => 'glow',
            self::Burners, self::Pilot, self::Flame => 'flame',
            self::Control, self::Thermostat => 'lamp',
            self::Water, self::ZoneValve => 'water',
            default => 'copper',
        };
    }

    /** What else it is called and what it does, as one would look for it; common practice, no source. */
    public function otherWords(): string
    {
        return match ($this) {
            self::Airflow => 'air duct filter register supply return',
            self::Blower => 'fan motor indoor moves air',
            self::BurnerMotor => 'oil gun fan',
            self::Burners => 'fire flame ports main burner',
            self::Control => 'board module ignition sequence timer primary panel',
            self::Cooling => 'air conditioner condenser compressor outdoor unit coil evaporator',
            self::Draught => 'vent chimney flue pressure air proving switch inducer prover',
            self::Exchanger => 'heat block boiler furnace water',
            self::Flame => 'proving sensor rod cad cell sees flame rectification',
            self::Fuse => 'protects overcurrent blade cartridge',
            self::GasSupply => 'meter cock shut-off fuel',
            self::GasValve => 'fuel solenoid coil opens gas',
            self::Ground => 'bond earth chassis cabinet metal screw bar',
            self::Igniter => 'glow hot surface lights',
            self::Ignition => 'spark transformer electrode lights',
            self::Inducer => 'draft blower vent motor',
            self::Limit => 'high limit overheat opens on heat safety thermal aquastat fan switch',
            self::OilSupply => 'tank filter nozzle fuel',
            self::OilValve => 'solenoid coil delay fuel',
            self::Own => '',
            self::Pilot => 'standing thermocouple thermopile millivolt lights holds',
            self::Pump => 'circulator moves water',
            self::Relay => 'coil contacts switches load contactor isolates',
            self::Rollout => 'flame roll-out safety opens on heat manual reset',
            self::Safety => 'low water cut-off lwco stops',
            self::Splices => 'wire nut joint terminal strip connector plug wiring centre',
            self::Supply => 'panel breaker mains line neutral disconnect cord outlet spur power',
            self::Switches => 'service switch toggle turns off',
            self::Thermostat => 'stat call for heat room programmer cylinder setpoint',
            self::Transformer => '24 volt secondary primary low voltage class 2',
            self::Water => 'radiator loop cylinder tank',
            self::ZoneValve => 'motorised end switch water opens',
        };
    }
}
