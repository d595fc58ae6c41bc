<?php

declare(strict_types=1);

namespace OddSpark\Trade;

/** What somebody can do who has worked jobs. */
enum Competency: string
{
    case Supply = 'supply and power';
    case Control = 'control circuit';
    case Ignition = 'ignition';
    case Proving = 'flame proving';
    case Airflow = 'airflow and limits';
    case Hydronics = 'hydronics and zoning';
    case Oil = 'oil';
    case Cooling = 'cooling controls';
    case Meter = 'meter use';
    case Safety = 'safety';
    case Verification = 'verification';
}
