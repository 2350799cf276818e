<?php

declare(strict_types=1);

namespace App\Providers;

use App\Accounts\AskedTooOften;
use App\Imports\Lease;
use App\Models\User;
use App\Outside\GroundHeights;
use App\Outside\LightMeter;
use App\Outside\SimulatedGroundHeights;
use App\Outside\SimulatedLightMeter;
use App\Outside\SimulatedWeather;
use App\Outside\WeatherService;
use App\Running\ServerState;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\ServiceProvider;
use Words\PhraseBook;

/** What the application sets once, at its start. */
final class AppServiceProvider extends ServiceProvider
{
    /** @var array<class-string, class-string> what stands in for the outside world where there is none; each is labelled as simulated */
    public array $bindings = [
        WeatherService::class => SimulatedWeather::class, GroundHeights::class => SimulatedGroundHeights::class,
        LightMeter::class => SimulatedLightMeter::class,
    ];

    /** @var array<class-string, class-string> phrases are compiled once */
    public array $singletons = [PhraseBook::class => PhraseBook::class];

    public function boot(): void
    {
        Model::preventLazyLoading(! $this->app->environment('production'));
        Model::preventSilentlyDiscardingAttributes();

        // A worker that waits for work says that it is there; one that works says so in what it works on.
        $said = 0;
        Queue::looping(static function () use (&$said): void {
            if (time() - $said >= 5) {
                $said = time();
                ServerState::seen(Lease::worker());
            }
        });

        Gate::define('see-class', static fn (User $user): bool => $user->seesClass());
        Gate::define('run-school', static fn (User $user): bool => $user->isTrainer());

        AskedTooOften::define();

        ResetPassword::toMailUsing(static fn (User $user, string $token): MailMessage => (new MailMessage)
            ->subject('Choose a new Larkspur password')
            ->view(
                'mail.reset-password',
                [
                    'name' => $user->name,
                    // The address that was set up, whatever the request called the server.
                    'url' => rtrim(config()->string('app.url'), '/').route(
                        'password.reset', ['token' => $token, 'email' => $user->email], false,
                    ),
                ],
            ));
    }
}
