<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\IssueSheet;
use App\Actions\SignRecord;
use App\Models\Crew;
use App\Models\Ground;
use App\Models\Keeper;
use App\Models\LabelCard;
use App\Models\LabelCardVersion;
use App\Models\Observation;
use App\Models\Patch;
use App\Models\PatchOutline;
use App\Models\Person;
use App\Models\Sighting;
use App\Models\Sprayer;
use App\Models\Stand;
use App\Models\Step;
use App\Models\Tally;
use App\Models\User;
use App\Support\JobClock;
use App\Trail\RecipeDesk;
use Illuminate\Support\Facades\DB;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Survey\Outline;

/** A made-up trust in a made-up valley at 44 N, 210 m: three grounds, six patches at different points of the trail, one record with a look-back due. */
final class DemoSeeder
{
    private const LATITUDE = 44.05;
    private const LONGITUDE = -71.4;

    private User $lead;

    private Crew $crew;

    public function run(IssueSheet $issue, SignRecord $sign, RecipeDesk $desk, JobClock $clock): void
    {
        DB::transaction(function () use ($issue, $sign, $desk, $clock): void {
            DB::table('installation')->insert(['key' => 'demo', 'value' => 'yes']);
            $this->people();
            $ester = $this->esterCard();
            $glyphosate = $this->glyphosateCard();
            $bottle = Sprayer::create(['crew_id' => $this->crew->id, 'name' => 'Blue backpack', 'tank_value' => '4', 'tank_unit' => 'gal_us', 'calibrated_on' => '2026-05-12']);
            [$creek, $hedge, $farm] = [$this->ground('Alderbrook creek', 0, '205'), $this->ground('Hollin Hedge and oak wood', 0.02, '215'), $this->ground('Quince Court orchard', 0.04, '210')];

            // 1 the hedge: named and counted, ready to choose
            $north = $this->patch($hedge, 'North hedge', 'woods', 0, 60, 18, [['kind' => 'tree', 'name' => 'boundary oak', 'distance' => '9 m', 'crownRadius' => '6 m', 'height' => '16 m'], ['kind' => 'path', 'name' => 'bridle path', 'distance' => '6 m']]);
            $ailanthus = $this->stand($north, 'tree-of-heaven', ['habit' => 'tree', 'leaf-type' => 'pinnate', 'armature' => 'none'], []);
            $this->tally($ailanthus, '2026-08-28', [['from' => '1 in', 'below' => '2 in', 'count' => 22], ['from' => '2 in', 'below' => '4 in', 'count' => 14], ['from' => '4 in', 'below' => '6 in', 'count' => 5]]);
            $this->observe($north, [['fact' => 'bark-texture', 'value' => 'smooth', 'at' => '2026-08-28T10:00:00-05:00'], ['fact' => 'bark-thickness', 'value' => 'thin', 'at' => '2026-08-28T10:00:00-05:00'], ['fact' => 'bark-wetness', 'value' => 'dry', 'at' => '2026-09-03T08:30:00-05:00'], ['fact' => 'grass-at-base', 'value' => false, 'at' => '2026-08-28T10:00:00-05:00']]);

            // 2 the oak wood: a maple that may be the native one, so the look-alike is open; basal chosen, mix to do
            $oaks = $this->patch($hedge, 'Oak wood', 'woods', 90, 110, 70, [['kind' => 'planting', 'name' => 'oak seedlings', 'distance' => '3 m', 'crownRadius' => '0.5 m', 'height' => '1 m']]);
            $maple = $this->stand($oaks, 'norway-maple', ['habit' => 'tree', 'leaf-arrangement' => 'opposite', 'leaf-type' => 'simple'], []);
            $this->tally($maple, '2026-08-20', [['diameter' => '3 in', 'count' => 18], ['diameter' => '7 in', 'count' => 3]]);
            $this->observe($oaks, [['fact' => 'bark-texture', 'value' => 'smooth', 'at' => '2026-08-20T10:00:00-05:00']]);
            $this->step($maple, 'basal-bark', 'triclopyr-ester', $ester, $bottle);

            // 3 the creek: knotweed by water, not counted yet
            $bank = $this->patch($creek, 'Creek bank', 'water-edge', 0, 45, 12, [['kind' => 'stream', 'name' => 'Alderbrook', 'distance' => '2 m']]);
            $this->stand($bank, 'japanese-knotweed', ['habit' => 'broadleaf-herb', 'leaf-arrangement' => 'alternate', 'stem-marks' => 'purple-flecks'], []);
            $this->observe($bank, [['fact' => 'height', 'value' => '7 ft', 'at' => '2026-09-01T09:00:00-05:00'], ['fact' => 'stage', 'value' => 'flower', 'at' => '2026-09-01T09:00:00-05:00']]);

            // 4 the meadow: white umbels nobody has named
            $meadow = $this->patch($creek, 'Hay meadow', 'pasture', 70, 140, 90, [['kind' => 'grass', 'name' => 'hay grass', 'distance' => '0 m'], ['kind' => 'path', 'name' => 'public path', 'distance' => '4 m'], ['kind' => 'stock', 'name' => 'two horses', 'distance' => '40 m']]);
            Stand::create(['patch_id' => $meadow->id]);

            // 5 the orchard: quackgrass, chosen and mixed, ready to issue
            $rows = $this->patch($farm, 'Cider rows', 'orchard', 0, 120, 60, [['kind' => 'tree', 'name' => 'cider apples', 'distance' => '1 m', 'crownRadius' => '2 m', 'height' => '4 m']]);
            $couch = $this->stand($rows, 'quackgrass', ['habit' => 'grass', 'root' => 'rhizome'], []);
            $this->tally($couch, '2026-08-30', [['diameter' => '1 cm', 'count' => 400, 'estimated' => true]]);
            $this->observe($rows, [['fact' => 'height', 'value' => '20 cm', 'at' => '2026-09-02T09:00:00-05:00'], ['fact' => 'stage', 'value' => 'autumn-regrowth', 'at' => '2026-09-02T09:00:00-05:00']]);
            $spray = $this->step($couch, 'foliar-spot', 'glyphosate', $glyphosate, $bottle);
            $this->mix($couch, $spray, $desk);

            // 6 the old rose corner: honeysuckle stumps treated last September; the look-back is due
            $corner = $this->patch($hedge, 'Old rose corner', 'woods', 210, 30, 25, []);
            $honeysuckle = $this->stand($corner, 'bush-honeysuckle', ['habit' => 'shrub', 'leaf-arrangement' => 'opposite', 'pith' => 'hollow'], []);
            $this->tally($honeysuckle, '2025-08-20', [['from' => '1 in', 'below' => '2 in', 'count' => 60, 'stemsPerClump' => 6]]);
            $cut = $this->step($honeysuckle, 'cut-stump', 'glyphosate', $glyphosate, null);
            $this->mix($honeysuckle, $cut, $desk);
            $this->past($issue, $sign, $honeysuckle, $clock);
        });
    }

    private function people(): void
    {
        $this->crew = Crew::create(['name' => 'Alderbrook Valley Trust', 'settings' => [
            'schools' => [], 'stance' => 'any', 'tools' => ['lever-puller', 'saw-or-loppers', 'hatchet', 'mower'], 'leverJaw' => '2 in', 'poisonCentre' => '555 0100 (made up)',
        ]]);
        $accounts = [
            ['Ada Thornbury', 'ada@alderbrook.example', 'lead', 'AV-1017', '2028-03-31', ['saw', 'axe', 'mower']],
            ['Bram Quillfeather', 'bram@alderbrook.example', 'lead', 'AV-1102', '2027-12-31', ['axe', 'mower']],
            ['Cleo Marshgate', 'cleo@alderbrook.example', 'viewer', null, null, []],
        ];
        foreach ($accounts as [$name, $email, $role, $licence, $until, $clearances]) {
            $user = User::create(['crew_id' => $this->crew->id, 'role' => $role, 'name' => $name, 'email' => $email, 'password' => 'thicket-demo', 'units' => 'us']);
            Person::create(['crew_id' => $this->crew->id, 'user_id' => $user->id, 'name' => $name, 'licence' => $licence, 'licence_until' => $until, 'clearances' => $clearances]);
            $this->lead ??= $user;
        }
    }

    private function ground(string $name, float $east, string $elevation): Ground
    {
        return Ground::create(['crew_id' => $this->crew->id, 'name' => $name, 'latitude' => (string) self::LATITUDE, 'longitude' => (string) (self::LONGITUDE + $east), 'elevation_m' => $elevation, 'time_zone' => 'Etc/GMT+5'])->refresh();
    }

    /** @param list<array<string, string>> $keepers */
    private function patch(Ground $ground, string $name, string $setting, int $eastMetres, int $lengthMetres, int $widthMetres, array $keepers): Patch
    {
        $patch = Patch::create(['ground_id' => $ground->id, 'name' => $name, 'setting' => $setting]);
        // a slightly irregular strip, laid out in metres from the ground's point
        $lon = static fn (float $m): float => round((float) $ground->longitude + ($eastMetres + $m) / 80_000, 7);
        $lat = static fn (float $m): float => round((float) $ground->latitude + $m / 111_100, 7);
        [$l, $w] = [(float) $lengthMetres, (float) $widthMetres];
        $ring = [[$lon(0), $lat(0)], [$lon(0.45 * $l), $lat(-0.12 * $w)], [$lon($l), $lat(0.08 * $w)], [$lon(0.96 * $l), $lat(0.95 * $w)], [$lon(0.5 * $l), $lat($w)], [$lon(0.06 * $l), $lat(0.9 * $w)], [$lon(0), $lat(0)]];
        $outline = Outline::fromGeoJson(['type' => 'Polygon', 'coordinates' => [$ring]]);
        [$west, $south, $east, $north] = $outline->box();
        PatchOutline::create(['patch_id' => $patch->id, 'valid_from' => '2025-04-01', 'outline' => $outline->toGeoJson(), 'area_m2' => $outline->area()->toWire()['value'], 'west' => $west, 'south' => $south, 'east' => $east, 'north' => $north]);
        foreach ($keepers as $keeper) {
            Keeper::create(['patch_id' => $patch->id, 'kind' => $keeper['kind'], 'name' => $keeper['name'], 'body' => $keeper]);
        }

        return $patch;
    }

    /**
     * @param array<string, string> $seen
     * @param list<array<string, string>> $tests
     */
    private function stand(Patch $patch, string $species, array $seen, array $tests): Stand
    {
        $stand = Stand::create(['patch_id' => $patch->id, 'species' => $species]);
        Sighting::create(['stand_id' => $stand->id, 'seen' => $seen, 'ranked' => [], 'tests' => $tests, 'species' => $species, 'confirmed_by' => $this->lead->id]);

        return $stand;
    }

    /** @param list<array<string, mixed>> $rows */
    private function tally(Stand $stand, string $day, array $rows): void
    {
        Tally::create(['stand_id' => $stand->id, 'visited_on' => $day, 'rows' => $rows, 'made_by' => $this->lead->id]);
    }

    /** @param list<array<string, mixed>> $facts */
    private function observe(Patch $patch, array $facts): void
    {
        foreach ($facts as $fact) {
            Observation::create(['patch_id' => $patch->id, 'fact' => $fact['fact'], 'body' => $fact, 'at' => new \DateTimeImmutable(is_string($fact['at']) ? $fact['at'] : 'now'), 'made_by' => $this->lead->id]);
        }
    }

    private function step(Stand $stand, string $method, string $active, LabelCardVersion $card, ?Sprayer $sprayer): Step
    {
        $step = Step::create(['patch_id' => $stand->patch_id, 'position' => 1, 'method' => $method, 'active' => $active, 'label_card_version_id' => $card->id, 'schools' => [], 'sprayer_id' => $sprayer?->id]);
        $step->stands()->attach($stand->id);

        return $step;
    }

    private function mix(Stand $stand, Step $step, RecipeDesk $desk): void
    {
        $stand = Stand::query()->withTrail()->findOrFail($stand->id);
        $fresh = $stand->steps->firstOrFail();
        $step->update(['recipe' => ['dye' => null, 'savedBy' => $this->lead->name], 'recipe_basis' => $desk->basis($desk->solve($stand, $fresh))]);
    }

    /** Last season's work, issued and signed on its day. */
    private function past(IssueSheet $issue, SignRecord $sign, Stand $stand, JobClock $clock): void
    {
        $clock->freezeAt('2025-09-02T08:00:00-05:00');
        $sheet = $issue(Stand::query()->withTrail()->findOrFail($stand->id), $this->lead, [], null);
        $in = Fields::of([
            'workedOn' => '2025-09-02', 'start' => '09:10', 'stop' => '11:40', 'people' => ['Ada Thornbury', 'Bram Quillfeather'], 'treated' => 58, 'skipped' => 2, 'mixUsed' => '3 fl oz',
            'weather' => 'bright, dry', 'wind' => '4 mph', 'temperature' => '68 F', 'equipment' => 'loppers, squirt bottle', 'remarks' => 'Two stems left under the wren nest.',
        ], $faults = new Faults());
        $body = $sign->read($in, $sheet);
        $faults->throwIfAny();
        $sign($sheet, $this->lead, $body, null);
        $clock->thaw();
    }

    private function esterCard(): LabelCardVersion
    {
        return $this->card('Triclopyr ester 480 g/L, oil-soluble', [
            'product' => 'Triclopyr ester 480 g/L, oil-soluble', 'registration' => 'DEMO-0480', 'formulation' => 'oil-soluble-ester', 'actives' => [['active' => 'triclopyr-ester', 'amount' => '480 g ae/L']],
            'carriers' => ['oil'], 'sites' => ['woods', 'non-crop', 'roadside-trail', 'open-habitat'], 'methods' => [['method' => 'basal-bark', 'min' => '10%', 'max' => '30%'], ['method' => 'cut-stump', 'min' => '10%', 'max' => '30%']],
            'waterBuffer' => '30 ft', 'yearlyMaximum' => '9 kg ae/ha', 'intervalDays' => 0, 'rainfastHours' => 4, 'hottest' => '85 F', 'windMost' => '10 mph', 'reentryHours' => 12, 'licensedOnly' => false, 'surfactantInside' => false,
            'wearing' => 'Nitrile or barrier laminate gloves of at least 14 mil, eye protection, long sleeves and trousers.', 'firstAid' => 'Skin: rinse 15 minutes. Eyes: hold open and rinse 15 to 20 minutes. Swallowed: call the poison centre, no vomiting.',
        ]);
    }

    private function glyphosateCard(): LabelCardVersion
    {
        return $this->card('Glyphosate 360 g/L, water-borne', [
            'product' => 'Glyphosate 360 g/L, water-borne', 'registration' => 'DEMO-0360', 'formulation' => 'soluble-liquid', 'actives' => [['active' => 'glyphosate', 'amount' => '360 g ae/L']],
            'carriers' => ['water'], 'sites' => ['woods', 'orchard', 'pasture', 'non-crop', 'roadside-trail', 'bed-lawn-paving'], 'methods' => [['method' => 'foliar-spot', 'min' => '0.5%', 'max' => '2%'], ['method' => 'cut-stump', 'min' => '25%', 'max' => '100%'], ['method' => 'hack-and-squirt', 'min' => '50%', 'max' => '100%']],
            'waterBuffer' => '30 ft', 'yearlyMaximum' => '8 kg ae/ha', 'rainfastHours' => 6, 'coldest' => '41 F', 'windMost' => '10 mph', 'reentryHours' => 4, 'licensedOnly' => false, 'surfactantInside' => true,
            'wearing' => 'Waterproof gloves, eye protection, long sleeves and trousers.', 'firstAid' => 'Eyes: rinse 15 to 20 minutes. Skin: wash with soap and water.',
        ]);
    }

    /** @param array<string, mixed> $body */
    private function card(string $product, array $body): LabelCardVersion
    {
        $card = LabelCard::create(['crew_id' => $this->crew->id, 'product' => $product]);

        return LabelCardVersion::create(['label_card_id' => $card->id, 'version' => 1, 'body' => $body, 'entered_by' => $this->lead->id, 'confirmed_by' => $this->lead->id, 'confirmed_at' => '2025-04-10 09:00:00']);
    }
}
