<?php

namespace App\Actions\People;

use Kettle\Reason\RefusedException;

/** Somebody who is not let in to make an account. */
final class RegistrationException extends RefusedException {}
