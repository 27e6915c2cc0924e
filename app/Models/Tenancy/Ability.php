<?php

namespace App\Models\Tenancy;

/** View: look at everything. Work: plan, log, press. Manage: settings, people, export and import. */
enum Ability: string
{
    case View = 'view';
    case Work = 'work';
    case Manage = 'manage';
}
