<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Storage;

/** Ground of the feature tests: the application with the test database, and a storage disk that is thrown away. */
abstract class FeatureCase extends TestCase
{
    /** Commands print for themselves; nothing of them is pretended. */
    public $mockConsoleOutput = false;

    use RefreshDatabase;

    public function createApplication(): Application
    {
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        assert($app instanceof Application);
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $this->withoutVite();
    }
}
