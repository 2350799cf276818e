<?php

/** English, flight: what core/Flight says. */

declare(strict_types=1);

return [
    'operator-habits.simulated-operator' => 'There is no simulated operator “{name}”.',
    'operator-habits.one-of' => 'one of {value}',
];
