<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Files\FreeSpace;
use App\Files\NoRoom;
use App\Files\Vault;
use App\Models\Import;
use App\Models\Take;
use App\Models\User;
use Illuminate\Filesystem\FilesystemAdapter;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use League\Flysystem\Config;
use League\Flysystem\Filesystem;
use League\Flysystem\Local\LocalFilesystemAdapter;
use Tests\Core\Shots;

/**
 * What is kept is kept whole or not at all. The faults are put in on purpose: a full disk, a disk that cuts what it writes, a lost file.
 */
final class VaultTest extends FeatureCase
{
    public function test_a_full_disk_refuses_before_anything_is_taken(): void
    {
        $this->full();
        $sent = $this->actingAs(User::factory()->createOne())->postJson('/api/v1/imports', ['log' => $this->file()]);
        $sent->assertStatus(507)->assertJsonPath('type', 'urn:larkspur:problem:no-room');
        self::assertSame([], Storage::allFiles());
        self::assertSame(0, Import::query()->count());
    }

    public function test_a_disk_that_fills_while_a_log_is_written_keeps_no_stump(): void
    {
        $this->cutting();
        $this->actingAs(User::factory()->createOne())->postJson('/api/v1/imports', ['log' => $this->file()])->assertStatus(507);
        self::assertSame([], Storage::allFiles());
        self::assertSame(0, Import::query()->count());
    }

    public function test_a_disk_that_fills_between_upload_and_logbook_says_failed_and_goes_on_when_there_is_room(): void
    {
        $user = User::factory()->createOne();
        // There is room at the door and for the upload, and none for its copy in the logbook.
        $this->app?->instance(FreeSpace::class, new class extends FreeSpace
        {
            private int $asked = 0;

            public function bytes(): int
            {
                return $this->asked++ < 2 ? PHP_INT_MAX : 0;
            }
        });
        $sent = $this->actingAs($user)->postJson('/api/v1/imports', ['log' => $this->file()])->assertStatus(202);
        $sent->assertJsonPath('state', 'failed');
        self::assertStringContainsString('no room', $sent->json('message'));
        self::assertSame(0, Take::query()->count());
        self::assertCount(1, Storage::allFiles());

        $this->app?->instance(FreeSpace::class, new FreeSpace);
        $this->postJson('/api/v1/imports/'.$sent->json('id').'/again')->assertStatus(202)->assertJsonPath('state', 'done');
        $take = Take::query()->sole();
        self::assertSame([$take->log->path()], Storage::allFiles());
        self::assertSame($take->log->sha256, app(Vault::class)->hashOf($take->log->path()));
    }

    public function test_a_log_whose_bytes_are_gone_or_cut_says_so(): void
    {
        $user = User::factory()->createOne();
        $this->actingAs($user)->postJson('/api/v1/imports', ['log' => $this->file()])->assertJsonPath('state', 'done');
        $take = Take::query()->sole();
        $whole = Storage::get($take->log->path()) ?? '';
        Storage::put($take->log->path(), substr($whole, 0, 307));
        foreach (['replay', 'log', 'bob'] as $what) {
            $cut = $this->getJson("/api/v1/takes/$take->id/$what")->assertStatus(410)
                ->assertJsonPath('type', 'urn:larkspur:problem:bytes-gone');
            self::assertStringContainsString('only 307 are left', $cut->json('detail'));
        }
        Storage::delete($take->log->path());
        foreach (['replay', 'log', 'bob'] as $what) {
            $this->getJson("/api/v1/takes/$take->id/$what")->assertStatus(410);
        }
        // The judgement stands where it is, and the same log sent again brings its bytes back.
        $this->getJson("/api/v1/takes/$take->id")->assertOk();
    }

    public function test_what_comes_to_its_place_is_what_was_given(): void
    {
        $stream = fopen('php://memory', 'w+b');
        self::assertNotFalse($stream);
        fwrite($stream, str_repeat("wind over stone\n", 9999));
        $hash = app(Vault::class)->keep('logs/aa/one', $stream);
        self::assertSame(hash('sha256', str_repeat("wind over stone\n", 9999)), $hash);
        self::assertSame(['logs/aa/one'], Storage::allFiles());

        $this->full();
        $this->expectException(NoRoom::class);
        app(Vault::class)->keep('logs/aa/two', $stream);
    }

    private function full(): void
    {
        $this->app?->instance(FreeSpace::class, new class extends FreeSpace
        {
            public function bytes(): int
            {
                return 4096;
            }
        });
    }

    /** A disk that writes the first kilobyte, and calls it done: as one that is full did. */
    private function cutting(): void
    {
        $root = Storage::path('');
        $adapter = new class($root) extends LocalFilesystemAdapter
        {
            public function writeStream(string $path, $contents, Config $config): void
            {
                parent::write($path, (string) fread($contents, 1024), $config);
            }
        };
        Storage::set('local', new FilesystemAdapter(new Filesystem($adapter), $adapter, ['driver' => 'local', 'root' => $root]));
    }

    private function file(): UploadedFile
    {
        return UploadedFile::fake()->createWithContent('pass.csv', Shots::csv(ImportTest::log('orbit')));
    }
}
