<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\User;
use App\Outside\GroundHeights;
use App\Outside\LightMeter;
use App\Outside\SimulatedGroundHeights;
use App\Outside\SimulatedLightMeter;
use App\Outside\SimulatedWeather;
use App\Outside\WeatherService;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;
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

        Gate::define('see-class', static fn (User $user): bool => $user->isTrainer());

        // Wrong passwords and requests for mail count; coming in does not.
        RateLimiter::for('sign-in', static fn (Request $request): Limit => Limit::perMinute(config()->integer('larkspur.sign_in_tries'))
            ->by(Str::lower($request->string('email')->toString()).'|'.$request->ip())
            ->after(static fn (Response $response): bool => $response->getStatusCode() !== Response::HTTP_OK));

        ResetPassword::toMailUsing(static fn (User $user, string $token): MailMessage => (new MailMessage)
            ->subject('Choose a new Larkspur password')
            ->view(
                'mail.reset-password',
                ['name' => $user->name, 'url' => url(route('password.reset', ['token' => $token, 'email' => $user->email], false))],
            ));
    }
}
