<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\AccessToken;
use App\Models\User;
use App\Repositories\KeptWork;
use App\Repositories\SituationRepository;
use App\Repositories\Surroundings;
use App\Seal\SealKey;
use App\Support\ImportProgress;
use App\Support\JobClock;
use App\Support\QuietSessions;
use App\Text\Languages;
use App\Text\Refusals;
use App\Text\Sentences;
use App\Weather\BroughtFirst;
use App\Weather\HttpWeather;
use App\Weather\SoilProbe;
use App\Weather\WeatherPort;
use Illuminate\Auth\Access\Response;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\View;
use Illuminate\Support\ServiceProvider;
use Laravel\Sanctum\Sanctum;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\CatalogueFiles;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Catalogue::class, fn(Application $app): Catalogue => self::catalogue());
        $this->app->scoped(SituationRepository::class);
        $this->app->scoped(Surroundings::class);
        $this->app->scoped(KeptWork::class);
        $this->app->scoped(ImportProgress::class);
        $this->app->singleton(
            WeatherPort::class,
            static fn(Application $app): WeatherPort => new BroughtFirst(
                new HttpWeather($app->make(JobClock::class), config()->string('thicket.weather_url')),
                $app->make(JobClock::class),
            ),
        );
        $this->app->singleton(
            SoilProbe::class,
            static fn(Application $app): SoilProbe => new SoilProbe(
                $app->make(JobClock::class),
                config()->string('thicket.probe_url'),
            ),
        );
        $this->app->singleton(SealKey::class, static fn(): SealKey => SealKey::fromConfig());
        $this->app->singleton(JobClock::class, fn(): JobClock => JobClock::fromConfig());
        $this->app->singleton(Sentences::class, fn(): Sentences => self::sentences());
        $this->app->singleton(Refusals::class);
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        // papers are written in the language of whoever prints them
        View::share('words', $this->app->make(Sentences::class));
        Sanctum::usePersonalAccessTokenModel(AccessToken::class);
        Session::extend(
            'database',
            static fn(Application $app): QuietSessions => new QuietSessions(
                $app->make('db')->connection(),
                config()->string('session.table'),
                config()->integer('session.lifetime'),
                $app,
            ),
        );
        Gate::define('write', static fn(User $user): bool => $user->mayWrite());
        Gate::define(
            'lead',
            static fn(User $user): Response => $user->isLead()
                ? Response::allow()
                : Response::deny('A lead of the crew does this.'),
        );
    }

    /** As {@see catalogue()}: what was compiled last is taken as it is, and kept in memory by the opcache. */
    private static function sentences(): Sentences
    {
        return new Sentences(
            base_path('lang'),
            Languages::FIRST,
            app()->environment('production', 'demo') ? config()->string('thicket.var') . '/cache/words.%s.php' : null,
            // in tests a sentence that is missing stops everything
            app()->environment('testing') ? null : static fn(string $fault) => Log::error($fault),
        );
    }

    /** In production bin/start and deploy compile it once; the hash of the newest compiled file is trusted there. */
    private static function catalogue(): Catalogue
    {
        $cache = config()->string('thicket.var') . '/cache';
        $current = "{$cache}/catalogue.current";
        if (app()->environment('production', 'demo') && is_file($current)) {
            $hash = trim((string) file_get_contents($current));
            if (is_file("{$cache}/catalogue.{$hash}.php")) {
                return CatalogueFiles::load("{$cache}/catalogue.{$hash}.php", $hash);
            }
        }

        return (new CatalogueFiles(base_path('core/data'), base_path('docs/schemas')))->compile($cache);
    }
}
