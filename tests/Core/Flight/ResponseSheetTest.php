<?php

declare(strict_types=1);

namespace Tests\Core\Flight;

use Demo\Rigs;
use Documents\Rig\ResponseSheetDocument;
use Documents\Rig\RigCamera;
use Documents\Wire;
use Larkspur\Controls\Finger;
use Larkspur\Fields;
use Larkspur\Flight\Aircraft;
use Larkspur\Flight\FingerInput;
use Larkspur\Flight\Pose;
use Larkspur\Flight\ResponseSheet;
use Larkspur\Rig\Rig;
use PHPUnit\Framework\TestCase;

/**
 * The same finger inputs through Aircraft here and through the page's own stepping there: tests/fixtures/response-sheet.json
 * holds the sheet, the inputs and what Aircraft makes of them, and web/stations/rig/sheet.test.ts flies them again.
 */
final class ResponseSheetTest extends TestCase
{
    private const FIXTURE = __DIR__.'/../../fixtures/response-sheet.json';

    public function test_what_the_page_is_tested_with_is_what_the_craft_does(): void
    {
        $cases = [];
        foreach ([['lapwing', 'standard'], ['curlew', 'slow'], ['wren', 'fast']] as [$craft, $mode]) {
            $cases[] = self::flown(Rig::read(Fields::of(Rigs::all()[$craft])), $mode);
        }
        $written = json_encode($cases, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)."\n";
        if (getenv('LARKSPUR_WRITE_FIXTURES') !== false) {
            file_put_contents(self::FIXTURE, $written);
        }

        self::assertSame((string) file_get_contents(self::FIXTURE), $written, 'Aircraft or ResponseSheet changed: write the fixture again with LARKSPUR_WRITE_FIXTURES=1.');
    }

    public function test_a_sheet_holds_the_curves_of_its_rig(): void
    {
        $rig = Rig::read(Fields::of(Rigs::all()['curlew']));
        $sheet = ResponseSheet::of($rig, 'slow');
        foreach (Finger::cases() as $finger) {
            foreach ([0, 40, 100, 163, 200] as $i) {
                self::assertEqualsWithDelta($rig->mode('slow')->asked($finger, $i / 100 - 1), $sheet->rates($finger)[$i], 1e-6);
            }
        }
    }

    /** @return array<string, mixed> */
    private static function flown(Rig $rig, string $mode): array
    {
        $aircraft = new Aircraft($rig, $rig->mode($mode), ResponseSheet::STEP);
        $pose = new Pose(0.0, 0.0, 10.0, 0.0, 0.0);
        $inputs = $outcome = [];
        for ($k = 0; $k < 600; $k++) {
            // Swells, steps and flicks of every finger, each in its own time.
            $fingers = [
                'climb' => round(0.6 * sin($k / 60), 3), 'turn' => $k > 120 && $k < 260 ? 0.7 : 0.0,
                'run' => round(0.9 * sin($k / 90) * ($k < 400 ? 1 : 0), 3),
                'slide' => $k > 200 && $k < 350 ? -0.8 : 0.1, 'tilt' => round(0.5 * cos($k / 45), 3),
            ];
            $pose = $aircraft->step($pose, FingerInput::of($fingers));
            $inputs[] = array_values($fingers);
            if ($k % 25 === 24) {
                $sin = sin($pose->heading);
                $cos = cos($pose->heading);
                $outcome[] = [
                    $k, round($pose->climbRate, 5), round(rad2deg($pose->turnRate), 5),
                    round($pose->eastRate * $sin + $pose->northRate * $cos, 5),
                    round($pose->eastRate * $cos - $pose->northRate * $sin, 5), round(rad2deg($pose->tiltRate), 5),
                    round(rad2deg($pose->heading), 4), round(rad2deg($pose->tilt), 4),
                ];
            }
        }

        $sheet = ResponseSheetDocument::of(ResponseSheet::of($rig, $mode), new RigCamera(71.6, 1.78, null));

        return ['sheet' => Wire::document($sheet, null), 'inputs' => $inputs, 'outcome' => $outcome];
    }
}
