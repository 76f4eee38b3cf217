<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\FollowProgramme;
use App\Actions\IssueSheet;
use App\Actions\KeepOutline;
use App\Actions\SignRecord;
use App\Http\Readers\RecordReader;
use App\Models\Calibration;
use App\Models\Container;
use App\Models\Crew;
use App\Models\DaysAway;
use App\Models\Ground;
use App\Models\LabelCard;
use App\Models\LabelCardVersion;
use App\Models\Loan;
use App\Models\LookBack;
use App\Models\Observation;
use App\Models\Patch;
use App\Models\Person;
use App\Models\Photo;
use App\Models\ProtectedFeature;
use App\Models\Record;
use App\Models\Sealed;
use App\Models\SettledDuty;
use App\Models\Sighting;
use App\Models\Sprayer;
use App\Models\Stand;
use App\Models\Step;
use App\Models\Tally;
use App\Models\Tool;
use App\Models\User;
use App\Models\Zone;
use App\Photos\PhotoStore;
use App\Repositories\SituationRepository;
use App\Resources\KeyResource;
use App\Seal\Chain;
use App\Support\JobClock;
use App\Workflow\RecipeDesk;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Thicket\Catalogue\Catalogue;
use Thicket\Identify\Key;
use Thicket\Identify\ObservedCharacters;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Programmes\Planner;
use Thicket\Safety\DutyKind;
use Thicket\Safety\Settled;
use Thicket\Survey\LocalPlane;
use Thicket\Survey\Outline;
use Thicket\Survey\OutlineEdit;
use Thicket\Survey\Shape;

/**
 * A made-up trust in a made-up valley at 44 N, 210 m: three grounds drawn with what is kept there, stands at different
 * points of the trail, two seasons of records, one look-back due.
 */
final class DemoSeeder
{
    private const LATITUDE = 44.05;
    private const LONGITUDE = -71.4;

    private User $lead;

    private Crew $crew;

    public function __construct(
        private readonly KeepOutline $keepOutline,
        private readonly PhotoStore $photos,
        private readonly KeyResource $key,
        private readonly Catalogue $catalogue,
        private readonly Chain $chain,
    ) {}

    public function run(IssueSheet $issue, SignRecord $sign, RecipeDesk $desk, JobClock $clock): void
    {
        DB::transaction(function () use ($issue, $sign, $desk, $clock): void {
            DB::table('installation')->insert(['key' => 'demo', 'value' => 'yes']);
            $this->people();
            $ester = $this->esterCard();
            $glyphosate = $this->glyphosateCard();
            [$broadleaf, $second] = [$this->broadleafCard(), $this->clopyralidCard()];
            $bottle = $this->sprayers();
            $this->shelf($ester, $glyphosate, $broadleaf, $second);
            $this->tools();
            [$creek, $hedge, $farm] = [
                $this->ground('Alderbrook creek', 0, '205'),
                $this->ground('Hollin Hedge and oak wood', 0.02, '215'),
                $this->ground('Quince Court orchard', 0.04, '210'),
            ];
            foreach ([$creek, $hedge, $farm] as $own) {
                $this->agreed($own, Settled::NOT_NEEDED, 'Alderbrook trust, deed of 2014', '2024-03-20');
            }
            $this->hedge($hedge, $ester, $glyphosate, $bottle, $desk, $issue, $sign, $clock);
            $this->creek($creek);
            $this->farm($farm, $glyphosate, $bottle, $desk);
            $common = $this->ground('Fernhollow common', 0.09, '260');
            $this->agreed($common, Settled::UNDER_WAY, 'Fernhollow commoners, by letter', '2026-09-15');
            $this->common($common);
            $this->taken(['norway-maple' => 'Ada Thornbury', 'spotted-knapweed' => 'Bram Quillfeather']);
        });
    }

    private function sprayers(): Sprayer
    {
        $blue = Sprayer::create([
            'crew_id' => $this->crew->id,
            'name' => 'Blue backpack',
            'kind' => 'backpack',
            'tank_value' => '4',
            'tank_unit' => 'gal_us',
            'calibrated_on' => '2026-05-12',
            'due_on' => '2027-05-12',
            'gives_value' => '280.6',
            'gives_unit' => 'L/ha',
            'details' => [
                'material' => 'plastic',
                'solventProof' => true,
                'nozzle' => 'small cone, screen and check valve',
                'ratedFlow' => '0.8 L',
            ],
        ]);
        foreach ([['2025-05-06', '261.9'], ['2026-05-12', '280.6']] as [$day, $gives]) {
            Calibration::create([
                'sprayer_id' => $blue->id,
                'way' => 'course',
                'body' => ['worn' => 0],
                'gives_value' => $gives,
                'gives_unit' => 'L/ha',
                'made_on' => $day,
                'made_by' => $this->lead->id,
            ]);
        }
        Sprayer::create([
            'crew_id' => $this->crew->id,
            'name' => 'Green squirt bottle',
            'kind' => 'squirt-bottle',
            'tank_value' => '1',
            'tank_unit' => 'L',
            'details' => ['material' => 'plastic'],
        ]);

        return $blue;
    }

    private function shelf(
        LabelCardVersion $ester,
        LabelCardVersion $glyphosate,
        LabelCardVersion $broadleaf,
        LabelCardVersion $second,
    ): void {
        $ester->card->update([
            'packs' => [
                ['size' => '1 L', 'price' => '38.00', 'on' => '2026-02-20'],
                ['size' => '5 L', 'price' => '165.00', 'on' => '2026-02-20'],
            ],
        ]);
        $glyphosate->card->update([
            'packs' => [
                ['size' => '1 L', 'price' => '22.00', 'on' => '2026-02-20'],
                ['size' => '5 L', 'price' => '84.00', 'on' => '2026-02-20'],
                ['size' => '20 L', 'price' => '290.00', 'on' => '2024-11-02'],
            ],
        ]);
        Container::create([
            'crew_id' => $this->crew->id,
            'label_card_id' => $ester->label_card_id,
            'size_value' => '5',
            'size_unit' => 'L',
            'lot' => 'T-2291',
            'place' => 'Tool barn, locked cupboard, lower tray',
            'opened_on' => '2025-08-20',
            'expires_on' => '2026-10-31',
            'remaining' => '1.350000000',
        ]);
        Container::create([
            'crew_id' => $this->crew->id,
            'label_card_id' => $broadleaf->label_card_id,
            'size_value' => '1',
            'size_unit' => 'gal_us',
            'lot' => 'B-1140',
            'place' => 'Tool barn, locked cupboard, upper tray',
            'opened_on' => '2026-05-20',
            'expires_on' => '2028-06-30',
            'remaining' => '2.900000000',
        ]);
        Container::create([
            'crew_id' => $this->crew->id,
            'label_card_id' => $second->label_card_id,
            'size_value' => '1',
            'size_unit' => 'L',
            'lot' => 'C-0072',
            'place' => 'Tool barn, locked cupboard, upper tray',
            'opened_on' => '2026-05-20',
            'expires_on' => '2027-12-31',
            'remaining' => '0.640000000',
        ]);
        Container::create([
            'crew_id' => $this->crew->id,
            'label_card_id' => $glyphosate->label_card_id,
            'size_value' => '2.5',
            'size_unit' => 'gal_us',
            'lot' => 'G-0417',
            'place' => 'Tool barn, locked cupboard, upper tray',
            'opened_on' => '2026-04-02',
            'expires_on' => '2028-04-30',
            'remaining' => '6.200000000',
            'tare_value' => '410',
            'tare_unit' => 'g',
        ]);
        Container::create([
            'crew_id' => $this->crew->id,
            'label_card_id' => $glyphosate->label_card_id,
            'size_value' => '1',
            'size_unit' => 'L',
            'lot' => 'G-0308',
            'expires_on' => '2026-06-30',
            'remaining' => '0.220000000',
        ]);
    }

    private function tools(): void
    {
        $all = [
            ['lever-puller', 'Big lever puller', ['jaw' => '2 in']],
            ['saw-or-loppers', 'Long loppers', ['blade' => '1.5 in']],
            ['hatchet', 'Hatchet', ['blade' => '3 in']],
            ['mower', 'Walk-behind mower', ['clearance' => 'mower']],
            ['saw', 'Bow saw', []],
            ['cup', 'Measuring cup', ['graduation' => '0.5 fl_oz_us', 'holds' => '8 fl_oz_us']],
            ['cylinder', 'Glass cylinder', ['graduation' => '2 mL', 'holds' => '250 mL']],
            ['jug', 'Litre jug', ['graduation' => '20 mL', 'holds' => '1000 mL']],
            ['scale', 'Pocket scale', ['graduation' => '0.1 g', 'holds' => '200 g']],
        ];
        foreach ($all as [$kind, $name, $details]) {
            Tool::create(['crew_id' => $this->crew->id, 'kind' => $kind, 'name' => $name, 'details' => $details]);
        }
        $second = Tool::create([
            'crew_id' => $this->crew->id,
            'kind' => 'saw-or-loppers',
            'name' => 'Short loppers',
            'details' => ['blade' => '1 in'],
        ]);
        Loan::create([
            'tool_id' => $second->id,
            'borrower' => 'Wren Mossgrove, next farm',
            'lent_on' => '2026-08-10',
            'due_on' => '2026-08-24',
            'lent_by' => $this->lead->id,
        ]);
    }

    private function hedge(
        Ground $hedge,
        LabelCardVersion $ester,
        LabelCardVersion $glyphosate,
        Sprayer $bottle,
        RecipeDesk $desk,
        IssueSheet $issue,
        SignRecord $sign,
        JobClock $clock,
    ): void {
        $this->drawn($hedge, 'tree', 'boundary oak', 'Point', [[69, 8]], ['crownRadius' => '6 m', 'height' => '16 m']);
        $this->drawn($hedge, 'path', 'bridle path', 'LineString', [[-80, -12], [27, -8], [110, -19], [240, -9]]);
        $this->drawn(
            $hedge,
            'planting',
            'oak seedlings',
            'Polygon',
            [[207, 10], [230, 12], [228, 40], [206, 38]],
            ['crownRadius' => '0.5 m', 'height' => '1 m'],
        );
        $this->drawn($hedge, 'building', 'tool barn', 'Polygon', [[60, 84], [74, 82], [75, 92], [61, 94]]);
        $this->drawn($hedge, 'fence', 'wood fence', 'LineString', [[84, -16], [88, 40], [86, 96]]);
        $this->drawn($hedge, 'well', 'hedge well', 'Point', [[-34, -2]]);
        $this->drawn($hedge, 'forbs', 'bluebell bank', 'Polygon', [[150, 76], [182, 72], [185, 84], [152, 88]]);

        // the hedge: tree-of-heaven named and counted, ready to choose; privet and burning bush beside it
        $north = $this->patch($hedge, 'North hedge', 'woods', [
            [0, 0],
            [27, -2],
            [60, 1.5],
            [58, 17],
            [30, 18],
            [4, 16],
        ]);
        $ailanthus = $this->stand(
            $north,
            'tree-of-heaven',
            ['habit' => 'tree', 'leaf-type' => 'pinnate', 'armature' => 'none'],
            [['pair' => 'tree-of-heaven--winged-sumac', 'test' => 'leaf-wing', 'points' => 'tree-of-heaven']],
        );
        $this->tally($ailanthus, '2026-08-28', [
            ['from' => '1 in', 'below' => '2 in', 'count' => 22],
            ['from' => '2 in', 'below' => '4 in', 'count' => 14],
            ['from' => '4 in', 'below' => '6 in', 'count' => 5],
        ]);
        $this->observe($north, [
            ['fact' => 'height', 'value' => '30 ft', 'at' => '2026-08-28T10:00:00-05:00'],
            ['fact' => 'felling-planned', 'value' => true, 'at' => '2026-08-28T10:00:00-05:00'],
        ]);
        $this->observe($north, [
            ['fact' => 'bark-texture', 'value' => 'smooth', 'at' => '2026-08-28T10:00:00-05:00'],
            ['fact' => 'bark-thickness', 'value' => 'thin', 'at' => '2026-08-28T10:00:00-05:00'],
            ['fact' => 'bark-wetness', 'value' => 'dry', 'at' => '2026-09-03T08:30:00-05:00'],
            ['fact' => 'grass-at-base', 'value' => false, 'at' => '2026-08-28T10:00:00-05:00'],
        ]);
        $privet = $this->stand(
            $north,
            'common-privet',
            ['habit' => 'shrub', 'leaf-arrangement' => 'opposite', 'fruit' => 'black-berry'],
            [],
        );
        $this->tally($privet, '2026-08-28', [
            [
                'from' => '0.5 in',
                'below' => '1 in',
                'count' => 120,
                'stemsPerClump' => 8,
                'estimated' => true,
                'bark' => 'smooth',
                'height' => '7 ft',
            ],
            [
                'from' => '1 in',
                'below' => '2 in',
                'count' => 36,
                'stemsPerClump' => 8,
                'bark' => 'smooth',
                'height' => '11 ft',
            ],
        ]);

        // the oak wood: a maple that may be the native one, so the look-alike is open; basal chosen, mix to do
        $oaks = $this->patch($hedge, 'Oak wood', 'woods', [
            [95, -4],
            [140, -14],
            [205, 2],
            [200, 66],
            [150, 72],
            [98, 60],
        ]);
        $maple = $this->stand(
            $oaks,
            'norway-maple',
            ['habit' => 'tree', 'leaf-arrangement' => 'opposite', 'leaf-type' => 'simple'],
            [],
        );
        $this->tally($maple, '2026-08-20', [
            ['diameter' => '3 in', 'count' => 18],
            ['diameter' => '7 in', 'count' => 3],
        ]);
        $this->observe($oaks, [['fact' => 'bark-texture', 'value' => 'smooth', 'at' => '2026-08-20T10:00:00-05:00']]);
        $this->step($maple, 'basal-bark', 'triclopyr-ester', $ester, $bottle);
        $this->sampled(
            $oaks,
            $this->stand(
                $oaks,
                'burning-bush',
                ['habit' => 'shrub', 'leaf-arrangement' => 'opposite', 'bark' => 'corky'],
                [],
            ),
        );

        // a vine that nobody has named: it may burn, and it may be a kept one
        $vine = Stand::create(['patch_id' => $oaks->id, 'marked_unknown' => true]);
        $this->sighting(
            [
                'stand_id' => $vine->id,
                'patch_id' => $oaks->id,
                'ground_id' => $hedge->id,
                'seen' => ['habit' => 'woody-vine', 'leaf-type' => 'trifoliate', 'leaf-arrangement' => 'not-sure'],
                'confidence' => 'guess',
                'remarks' => 'On three oaks by the bridle path; some leaves may have five parts. Left alone.',
            ],
            '2026-08-20T16:20:00Z',
            'vine',
        );
        $this->sighting(
            [
                'ground_id' => $hedge->id,
                'latitude' => $this->degrees($hedge, [[176, 80]])[0][1],
                'longitude' => $this->degrees($hedge, [[176, 80]])[0][0],
                'accuracy_m' => '5.2',
                'seen' => [
                    'habit' => 'woody-vine',
                    'fruit' => 'orange-capsule',
                    'leaf-outline' => 'egg-shaped',
                    'climbs-by' => 'twining',
                ],
                'species' => 'american-bittersweet',
                'confirmed_by' => $this->lead->id,
                'confidence' => 'certain',
                'confirmer' => 'Valley herbarium, sheet 212',
                'confirmed_on' => '2025-10-08',
                'tests' => [
                    [
                        'pair' => 'american-bittersweet--oriental-bittersweet',
                        'test' => 'fruit-place',
                        'points' => 'american-bittersweet',
                    ],
                ],
                'remarks' => 'Fruit at the tips only. Keep.',
            ],
            '2025-10-04T15:10:00Z',
            'bittersweet',
        );

        // the old rose corner: honeysuckle stumps treated last September; the look-back is due
        $corner = $this->patch($hedge, 'Old rose corner', 'woods', [[16, 45], [46, 43], [48, 68], [20, 71]]);
        $honeysuckle = $this->stand(
            $corner,
            'bush-honeysuckle',
            ['habit' => 'shrub', 'leaf-arrangement' => 'opposite', 'pith' => 'hollow'],
            [],
        );
        $this->tally($honeysuckle, '2025-08-20', [
            ['from' => '1 in', 'below' => '2 in', 'count' => 60, 'stemsPerClump' => 6],
        ]);
        $this->mix($honeysuckle, $this->step($honeysuckle, 'cut-stump', 'glyphosate', $glyphosate, null), $desk);
        $this->past($issue, $sign, $honeysuckle, $clock, '2025-09-02', [
            'treated' => 58,
            'skipped' => 2,
            'mixUsed' => '1.5 fl oz',
            'remarks' => 'Two stems left under the wren nest.',
        ]);

        // the broom bank: cut and treated two seasons ago, judged last year
        $bank = $this->patch($hedge, 'Broom bank', 'open-habitat', [[-72, 30], [-24, 24], [-19, 41], [-68, 54]]);
        $broom = $this->stand(
            $bank,
            'scotch-broom',
            ['habit' => 'shrub', 'stem-section' => 'angled', 'fruit' => 'pod'],
            [],
        );
        $this->tally($broom, '2024-08-12', [
            ['from' => '1 cm', 'below' => '3 cm', 'count' => 210, 'stemsPerClump' => 3],
        ]);
        $this->mix($broom, $this->step($broom, 'cut-stump', 'triclopyr-ester', $ester, null), $desk);
        $record = $this->past($issue, $sign, $broom, $clock, '2024-08-28', [
            'treated' => 204,
            'skipped' => 6,
            'mixUsed' => '20 fl oz',
            'stop' => '10:40',
            'remarks' => 'Seedlings to be pulled each spring.',
        ]);
        $look = LookBack::create([
            'record_id' => $record->id,
            'looked_on' => '2025-09-10',
            'scored' => true,
            'body' => [
                'counted' => 200,
                'dead' => 183,
                'resprouted' => 17,
                'remarks' => 'Seedlings thick where the soil was stirred.',
            ],
            'made_by' => $this->lead->id,
        ]);
        $this->chain->add($record->crew_id, Sealed::LookBack, $look->id);
    }

    private function creek(Ground $creek): void
    {
        $this->drawn($creek, 'stream', 'Alderbrook', 'LineString', [
            [-60, -12],
            [-10, -5],
            [20, -3.4],
            [60, -3],
            [130, -10],
            [260, -15],
        ]);
        $this->drawn($creek, 'path', 'public path', 'LineString', [[62, -1], [64, 18], [66, 30], [72, 108], [75, 150]]);
        $this->drawn($creek, 'stock', 'two horses', 'Polygon', [[100, 160], [200, 158], [205, 220], [95, 215]]);
        $this->drawn($creek, 'hive', 'meadow hives', 'Point', [[240, 60]]);
        // knotweed by water, not counted yet
        $bank = $this->patch($creek, 'Creek bank', 'water-edge', [
            [0, 0],
            [20, -1.4],
            [45, 1],
            [43, 11.4],
            [22, 12],
            [3, 10.8],
        ]);
        $this->stand(
            $bank,
            'japanese-knotweed',
            ['habit' => 'broadleaf-herb', 'leaf-arrangement' => 'alternate', 'stem-marks' => 'purple-flecks'],
            [],
        );
        $this->observe($bank, [
            ['fact' => 'height', 'value' => '7 ft', 'at' => '2026-09-01T09:00:00-05:00'],
            ['fact' => 'stage', 'value' => 'flower', 'at' => '2026-09-01T09:00:00-05:00'],
        ]);
        $this->stand(
            $this->patch($creek, 'Reed bed', 'water-edge', [
                [76, 0],
                [92, -2],
                [118, -6],
                [120, 14],
                [90, 17],
                [74, 12],
            ]),
            'common-reed',
            ['habit' => 'reed'],
            [],
        );
        // the meadow: knapweed and parsnip by the path, and white umbels nobody has named
        $meadow = $this->patch(
            $creek,
            'Hay meadow',
            'pasture',
            [[70, 30], [140, 22], [212, 36], [206, 112], [140, 120], [76, 108]],
            [['kind' => 'grass', 'name' => 'hay grass', 'distance' => '0 m']],
        );
        $this->observe($meadow, [['fact' => 'target-cover', 'value' => 'patchy', 'at' => '2026-08-30T09:00:00-05:00']]);
        Stand::create(['patch_id' => $meadow->id]);
        $this->stand(
            $meadow,
            'spotted-knapweed',
            ['habit' => 'broadleaf-herb', 'root' => 'taproot', 'flower-colour' => 'purple'],
            [],
        );
        $this->stand(
            $meadow,
            'wild-parsnip',
            ['habit' => 'broadleaf-herb', 'leaf-type' => 'pinnate', 'flower-colour' => 'yellow'],
            [],
        );
    }

    private function farm(Ground $farm, LabelCardVersion $glyphosate, Sprayer $bottle, RecipeDesk $desk): void
    {
        $this->drawn($farm, 'well', 'farm well', 'Point', [[152, 30]]);
        $this->drawn($farm, 'building', 'school house', 'Polygon', [[196, 74], [216, 74], [216, 94], [196, 94]]);
        $this->drawn($farm, 'drain', 'field drain', 'LineString', [[-8, 70], [-6, 110], [-9, 160]]);
        $this->drawn($farm, 'path', 'school lane', 'LineString', [[140, 66], [230, 68]]);
        // the orchard: quackgrass, chosen and mixed, ready to issue
        $rows = $this->patch(
            $farm,
            'Cider rows',
            'orchard',
            [[0, 0], [54, -7], [120, 5], [115, 57], [60, 60], [7, 54]],
            [
                [
                    'kind' => 'tree',
                    'name' => 'cider apples',
                    'distance' => '1 m',
                    'crownRadius' => '2 m',
                    'height' => '4 m',
                ],
            ],
        );
        $couch = $this->stand($rows, 'quackgrass', ['habit' => 'grass', 'root' => 'rhizome'], []);
        $this->tally($couch, '2026-08-30', [['diameter' => '1 cm', 'count' => 400, 'estimated' => true]]);
        $this->observe($rows, [
            ['fact' => 'height', 'value' => '20 cm', 'at' => '2026-09-02T09:00:00-05:00'],
            ['fact' => 'stage', 'value' => 'autumn-regrowth', 'at' => '2026-09-02T09:00:00-05:00'],
        ]);
        $noted = '2026-03-14T09:00:00-05:00';
        $this->observe($rows, [
            ['fact' => 'planted-on', 'value' => '2014-03-20', 'at' => $noted],
            ['fact' => 'green-bark', 'value' => false, 'at' => $noted],
            ['fact' => 'row-spacing', 'value' => '5 m', 'at' => $noted],
            ['fact' => 'strip-side', 'value' => '0.9 m', 'at' => $noted],
            ['fact' => 'soil-texture', 'value' => 'loam', 'at' => $noted],
        ]);
        $this->mix($couch, $this->step($couch, 'foliar-spot', 'glyphosate', $glyphosate, $bottle), $desk);
        // the new hazels and oaks in reed canarygrass; its leaf-out was seen here in spring
        $planting = $this->patch(
            $farm,
            'New planting',
            'new-planting',
            [[2, 90], [60, 88], [63, 140], [6, 146]],
            [
                [
                    'kind' => 'planting',
                    'name' => 'hazels and oaks',
                    'distance' => '0.5 m',
                    'crownRadius' => '0.3 m',
                    'height' => '0.8 m',
                ],
            ],
        );
        $this->stand($planting, 'reed-canarygrass', ['habit' => 'reed', 'root' => 'rhizome'], []);
        Observation::create([
            'patch_id' => $planting->id,
            'ground_id' => $farm->id,
            'species' => 'reed-canarygrass',
            'fact' => 'leaf-out',
            'body' => ['fact' => 'leaf-out', 'value' => '2026-04-21', 'at' => '2026-04-21T10:00:00-05:00'],
            'at' => '2026-04-21 15:00:00',
            'made_by' => $this->lead->id,
        ]);
        // the school garden
        $garden = $this->patch($farm, 'School garden', 'bed-lawn-paving', [[168, 78], [188, 77], [189, 93], [169, 94]]);
        $this->observe($garden, [
            ['fact' => 'school-ground', 'value' => true, 'at' => $noted],
            ['fact' => 'children-pets', 'value' => true, 'at' => $noted],
        ]);
        $bindweed = $this->stand(
            $garden,
            'field-bindweed',
            ['habit' => 'herbaceous-vine', 'flower-colour' => 'white'],
            [],
        );
        Tally::create([
            'stand_id' => $bindweed->id,
            'kind' => 'cover',
            'visited_on' => '2026-08-26',
            'rows' => [],
            'body' => ['class' => 'patchy'],
            'made_by' => $this->lead->id,
        ]);
        $sorrel = $this->stand(
            $garden,
            'creeping-woodsorrel',
            ['habit' => 'broadleaf-herb', 'leaf-type' => 'trifoliate', 'flower-colour' => 'yellow'],
            [],
        );
        Tally::create([
            'stand_id' => $sorrel->id,
            'kind' => 'seedlings',
            'visited_on' => '2026-08-26',
            'rows' => [],
            'body' => [
                'frame' => '0.25 m2',
                'plots' => array_map(static fn(int $n): array => ['counts' => [$n]], [4, 0, 7, 2, 5, 1, 3, 6]),
            ],
            'made_by' => $this->lead->id,
        ]);
    }

    /** Programmes that a small crew has to bring under one roof: the season's plan is for them. */
    private function common(Ground $common): void
    {
        $follow = app(FollowProgramme::class);
        $situations = app(SituationRepository::class);
        $rows = [
            ['Sheep bank', 'pasture', 'common-buckthorn', 'treat-standing-and-watch', '1 in', 90, [0, 0]],
            ['Quarry field', 'pasture', 'common-teasel', 'dig-rosettes-cut-stalks', '0.25 in', 300, [120, 20]],
            ['Long ride', 'woods', 'japanese-stiltgrass', 'pull-before-seed', '0.1 in', 900, [60, 140]],
            ['Yew edge', 'woods', 'oriental-bittersweet', 'treat-standing-then-fell', '0.75 in', 60, [180, 150]],
            ['South slope', 'pasture', 'canada-thistle', 'bud-and-autumn', '0.25 in', 800, [240, 10]],
        ];
        foreach ($rows as [$name, $setting, $species, $programme, $size, $count, [$x, $y]]) {
            $patch = $this->patch($common, $name, $setting, [
                [$x, $y],
                [$x + 58, $y + 4],
                [$x + 54, $y + 47],
                [$x + 21, $y + 52],
                [$x - 4, $y + 38],
            ]);
            $stand = $this->stand($patch, $species, [], []);
            $this->tally($stand, '2026-08-20', [['diameter' => $size, 'count' => $count]]);
            $stand = Stand::query()->withTrail()->findOrFail($stand->id);
            $situation = $situations->situation($stand);
            $planner = new Planner($this->catalogue, $situations->schools($this->crew), $situations->shed($this->crew));
            $follow(
                $stand,
                $planner->layOut(
                    $this->catalogue->programme($programme),
                    $this->catalogue->species($species),
                    $situation,
                ),
                $this->crew,
                $situations->schools($this->crew)->chosen,
            );
        }
        Stand::query()
            ->where('species', 'oriental-bittersweet')
            ->update(['spreads' => true]);
        Stand::query()
            ->where('species', 'canada-thistle')
            ->update(['promised_by' => '2026-09-30']);
        DaysAway::create([
            'crew_id' => $this->crew->id,
            'person_id' => Person::query()->where('name', 'Bram Quillfeather')->value('id'),
            'first_on' => '2026-09-07',
            'last_on' => '2026-09-13',
            'note' => 'harvest at home',
            'source' => DaysAway::TYPED,
        ]);
    }

    /** Burning bush in the wood, counted in plots: thick at the edge, thin in the core. */
    private function sampled(Patch $oaks, Stand $stand): void
    {
        $whole = Outline::trusted($oaks->outlines()->firstOrFail()->outline['coordinates']);
        $counts = [
            'edge' => [[9, 2], [14, 1], [6, 0], [11, 3], [8, 1], [12, 2]],
            'core' => [[1, 0], [0, 0], [3, 1], [0, 0], [2, 0]],
        ];
        foreach (OutlineEdit::edgeAndCore($whole, Quantity::of('12', Unit::Metre)) as $kind => $outline) {
            $zone = Zone::create([
                'patch_id' => $oaks->id,
                'name' => ucfirst($kind),
                'outline' => $outline->toGeoJson(),
                'area_m2' => $outline->area()->toWire()['value'],
            ]);
            $body = [
                'radius' => '4 m',
                'classes' => [['from' => '1 cm', 'below' => '2 cm'], ['from' => '2 cm', 'below' => '4 cm']],
                'plots' => array_map(static fn(array $n): array => ['counts' => $n], $counts[$kind]),
            ];
            Tally::create([
                'stand_id' => $stand->id,
                'zone_id' => $zone->id,
                'kind' => 'plots',
                'visited_on' => '2026-08-20',
                'diameter_at' => 'base',
                'rows' => [],
                'body' => $body,
                'made_by' => $this->lead->id,
            ]);
        }
    }

    private function people(): void
    {
        $this->crew = Crew::create([
            'name' => 'Alderbrook Valley Trust',
            'settings' => [
                'schools' => [],
                'stance' => 'any',
                'prices' => $this->prices(),
                'poisonCentre' => '555 0100 (made up)',
            ],
        ]);
        $accounts = [
            [
                'Ada Thornbury',
                'ada@alderbrook.example',
                'lead',
                'AV-1017',
                '2028-03-31',
                ['saw', 'axe', 'mower'],
                [2, 4],
            ],
            ['Bram Quillfeather', 'bram@alderbrook.example', 'lead', 'AV-1102', '2027-12-31', ['axe', 'mower'], [2, 6]],
            ['Cleo Marshgate', 'cleo@alderbrook.example', 'viewer', null, null, [], [6]],
        ];
        foreach ($accounts as [$name, $email, $role, $licence, $until, $clearances, $weekdays]) {
            $user = User::create([
                'crew_id' => $this->crew->id,
                'role' => $role,
                'name' => $name,
                'email' => $email,
                'password' => 'thicket-demo',
                'units' => 'us',
            ]);
            Person::create([
                'crew_id' => $this->crew->id,
                'user_id' => $user->id,
                'name' => $name,
                'licence' => $licence,
                'licence_until' => $until,
                'clearances' => $clearances,
                'weekdays' => $weekdays,
                'volunteer' => $licence === null,
            ]);
            $this->lead ??= $user;
        }
    }

    /** @param array<string, string> $who by species: who does what is next there */
    private function taken(array $who): void
    {
        foreach ($who as $species => $name) {
            Stand::query()
                ->where('species', $species)
                ->update(['person_id' => Person::query()->where('name', $name)->value('id')]);
        }
    }

    /** @return array<string, mixed> made-up prices; that of the ester is two years old */
    private function prices(): array
    {
        return [
            'currency' => 'USD',
            'wage' => ['amount' => '28.00', 'on' => '2026-02-01'],
            'products' => [
                ['active' => 'glyphosate', 'amount' => '24.00', 'per' => '1 gal', 'on' => '2026-03-02'],
                ['active' => 'triclopyr-ester', 'amount' => '96.00', 'per' => '1 gal', 'on' => '2024-08-10'],
            ],
        ];
    }

    /** The owner of a ground agrees to the work there, or was asked. */
    private function agreed(Ground $ground, string $state, string $who, string $on): void
    {
        SettledDuty::create([
            'crew_id' => $this->crew->id,
            'ground_id' => $ground->id,
            'kind' => DutyKind::Owner,
            'state' => $state,
            'who' => $who,
            'on' => $on,
            'boundary_checked' => $state !== Settled::UNDER_WAY,
            'noted_by' => $this->lead->id,
            'noted_at' => '2024-03-20T10:00:00Z',
        ]);
    }

    private function ground(string $name, float $east, string $elevation): Ground
    {
        return Ground::create([
            'crew_id' => $this->crew->id,
            'name' => $name,
            'latitude' => (string) self::LATITUDE,
            'longitude' => (string) (self::LONGITUDE + $east),
            'elevation_m' => $elevation,
            'time_zone' => 'Etc/GMT+5',
        ])->refresh();
    }

    /**
     * @param list<array{float|int, float|int}> $corners metres east and north of the ground's point
     * @param list<array<string, string>> $keepers known by words
     */
    private function patch(Ground $ground, string $name, string $setting, array $corners, array $keepers = []): Patch
    {
        $patch = Patch::create(['ground_id' => $ground->id, 'name' => $name, 'setting' => $setting])->refresh();
        $outline = Outline::fromGeoJson(['type' => 'Polygon', 'coordinates' => [$this->degrees($ground, $corners)]]);
        ($this->keepOutline)($patch, $outline, new \DateTimeImmutable('2024-04-01'), $this->lead, 'demo');
        foreach ($keepers as $keeper) {
            ProtectedFeature::create([
                'patch_id' => $patch->id,
                'ground_id' => $ground->id,
                'kind' => $keeper['kind'],
                'name' => $keeper['name'],
                'body' => $keeper,
            ]);
        }

        return $patch;
    }

    /**
     * @param list<array{float|int, float|int}> $points metres east and north of the ground's point
     * @param array<string, string> $sizes
     */
    private function drawn(
        Ground $ground,
        string $kind,
        string $name,
        string $type,
        array $points,
        array $sizes = [],
    ): void {
        $positions = $this->degrees($ground, $points);
        $shape = Shape::fromGeoJson([
            'type' => $type,
            'coordinates' => match ($type) {
                'Point' => $positions[0],
                'LineString' => $positions,
                default => [$positions],
            },
        ]);
        ProtectedFeature::create(
            [
                'ground_id' => $ground->id,
                'kind' => $kind,
                'name' => $name,
                'body' => ['kind' => $kind, 'name' => $name] + $sizes,
                'shape' => $shape->toGeoJson(),
            ] + array_combine(['west', 'south', 'east', 'north'], $shape->box()),
        );
    }

    /**
     * @param list<array{float|int, float|int}> $points
     *
     * @return list<array{float, float}>
     */
    private function degrees(Ground $ground, array $points): array
    {
        $plane = new LocalPlane([(float) $ground->longitude, (float) $ground->latitude]);

        return $plane->allPositions(array_map(static fn(array $p): array => [(float) $p[0], (float) $p[1]], $points));
    }

    /** @param array<string, mixed> $row */
    private function sighting(array $row, string $at, string $picture): void
    {
        $sighting = Sighting::create(
            $row + [
                'ranked' => $this->key->candidates(
                    (new Key($this->catalogue))->rank(
                        ObservedCharacters::of(is_array($row['seen']) ? $row['seen'] : [], $this->catalogue),
                    ),
                ),
                'tests' => [],
                'species' => null,
                'seen_at' => new \DateTimeImmutable($at),
                'made_by' => $this->lead->id,
            ],
        );
        $id = (string) Str::uuid7();
        $taken = $this->photos->take(__DIR__ . "/photos/{$picture}.jpg", $id);
        unset($taken['offered']);
        Photo::create(['id' => $id, 'sighting_id' => $sighting->id, 'made_by' => $this->lead->id] + $taken);
        $this->chain->add($this->lead->crew_id, Sealed::Photo, $id);
    }

    /**
     * @param array<string, string> $seen
     * @param list<array<string, string>> $tests
     */
    private function stand(Patch $patch, string $species, array $seen, array $tests): Stand
    {
        $stand = Stand::create(['patch_id' => $patch->id, 'species' => $species]);
        Sighting::create([
            'stand_id' => $stand->id,
            'patch_id' => $patch->id,
            'ground_id' => $patch->ground_id,
            'seen' => $seen,
            'ranked' => [],
            'tests' => $tests,
            'species' => $species,
            'confirmed_by' => $this->lead->id,
            'made_by' => $this->lead->id,
            'seen_at' => new \DateTimeImmutable('2026-06-11T15:00:00Z'),
            'confidence' => 'certain',
        ]);

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
            Observation::create([
                'patch_id' => $patch->id,
                'ground_id' => $patch->ground_id,
                'fact' => $fact['fact'],
                'body' => $fact,
                'at' => new \DateTimeImmutable(is_string($fact['at']) ? $fact['at'] : 'now'),
                'made_by' => $this->lead->id,
            ]);
        }
    }

    private function step(Stand $stand, string $method, string $active, LabelCardVersion $card, ?Sprayer $sprayer): Step
    {
        $step = Step::create([
            'patch_id' => $stand->patch_id,
            'position' => 1,
            'method' => $method,
            'active' => $active,
            'label_card_version_id' => $card->id,
            'schools' => [],
            'sprayer_id' => $sprayer?->id,
        ]);
        $step->stands()->attach($stand->id);

        return $step;
    }

    private function mix(Stand $stand, Step $step, RecipeDesk $desk): void
    {
        $stand = Stand::query()->withTrail()->findOrFail($stand->id);
        $fresh = $stand->steps->firstOrFail();
        $step->update([
            'recipe' => ['dye' => null, 'savedBy' => $this->lead->name],
            'recipe_basis' => $desk->basis($desk->solve($stand, $fresh)),
        ]);
    }

    /**
     * Work of an earlier season, issued and signed on its day.
     *
     * @param array<string, mixed> $more
     */
    private function past(
        IssueSheet $issue,
        SignRecord $sign,
        Stand $stand,
        JobClock $clock,
        string $day,
        array $more,
    ): Record {
        $clock->freezeAt("{$day}T08:00:00-05:00");
        $sheet = $issue(Stand::query()->withTrail()->findOrFail($stand->id), $this->lead, [], null);
        $in = Fields::of(
            $more + [
                'workedOn' => $day,
                'start' => '09:10',
                'stop' => '11:40',
                'people' => ['Ada Thornbury', 'Bram Quillfeather'],
                'weather' => 'bright, dry',
                'wind' => '4 mph',
                'temperature' => '68 F',
                'equipment' => 'loppers, squirt bottle',
            ],
            $faults = new Faults(),
        );
        $body = app(RecordReader::class)->read($in, $sheet);
        $faults->throwIfAny();
        $record = $sign($sheet, $this->lead, $body, null);
        $clock->thaw();

        return $record;
    }

    private function esterCard(): LabelCardVersion
    {
        return $this->card('Triclopyr ester 480 g/L, oil-soluble', [
            'product' => 'Triclopyr ester 480 g/L, oil-soluble',
            'registration' => 'DEMO-0480',
            'formulation' => 'oil-soluble-ester',
            'actives' => [['active' => 'triclopyr-ester', 'amount' => '480 g ae/L']],
            'carriers' => ['oil'],
            'sites' => ['woods', 'non-crop', 'roadside-trail', 'open-habitat'],
            'methods' => [
                ['method' => 'basal-bark', 'min' => '10%', 'max' => '30%'],
                ['method' => 'cut-stump', 'min' => '10%', 'max' => '30%'],
            ],
            'waterBuffer' => '30 ft',
            'yearlyMaximum' => '9 kg ae/ha',
            'intervalDays' => 0,
            'rainfastHours' => 4,
            'hottest' => '85 F',
            'windMost' => '10 mph',
            'reentryHours' => 12,
            'licensedOnly' => false,
            'surfactantInside' => false,
            'wearing' =>
                'Nitrile or barrier laminate gloves of at least 14 mil, eye protection, long sleeves and trousers.',
            'firstAid' =>
                'Skin: rinse 15 minutes. Eyes: hold open and rinse 15 to 20 minutes. Swallowed: call the poison ' .
                'centre, no vomiting.',
        ]);
    }

    private function glyphosateCard(): LabelCardVersion
    {
        return $this->card('Glyphosate 360 g/L, water-borne', [
            'product' => 'Glyphosate 360 g/L, water-borne',
            'registration' => 'DEMO-0360',
            'formulation' => 'soluble-liquid',
            'actives' => [['active' => 'glyphosate', 'amount' => '360 g ae/L']],
            'carriers' => ['water'],
            'sites' => ['woods', 'orchard', 'pasture', 'non-crop', 'roadside-trail', 'bed-lawn-paving'],
            'methods' => [
                ['method' => 'foliar-spot', 'min' => '0.5%', 'max' => '2%'],
                ['method' => 'cut-stump', 'min' => '25%', 'max' => '100%'],
                ['method' => 'hack-and-squirt', 'min' => '50%', 'max' => '100%'],
            ],
            'waterBuffer' => '30 ft',
            'yearlyMaximum' => '8 kg ae/ha',
            'intervalDays' => 30,
            'rainfastHours' => 6,
            'coldest' => '41 F',
            'windMost' => '10 mph',
            'reentryHours' => 4,
            'licensedOnly' => false,
            'surfactantInside' => true,
            'wearing' => 'Waterproof gloves, eye protection, long sleeves and trousers.',
            'firstAid' => 'Eyes: rinse 15 to 20 minutes. Skin: wash with soap and water.',
        ]);
    }

    private function broadleafCard(): LabelCardVersion
    {
        return $this->card('2,4-D amine 480 g/L, water-borne', [
            'product' => '2,4-D amine 480 g/L, water-borne',
            'registration' => 'DEMO-0024',
            'formulation' => 'soluble-liquid',
            'actives' => [['active' => '2-4-d', 'amount' => '480 g ae/L']],
            'carriers' => ['water'],
            'sites' => ['pasture', 'open-habitat', 'non-crop', 'roadside-trail'],
            // more is allowed on rosettes than on plants in flower
            'methods' => [
                ['method' => 'foliar-spot', 'min' => '0.25%', 'max' => '0.5%'],
                ['method' => 'foliar-spot', 'min' => '0.25%', 'max' => '0.6%', 'stages' => ['rosette', 'seedling']],
            ],
            'waterBuffer' => '30 ft',
            'yearlyMaximum' => '6 kg ae/ha',
            'siteLimits' => [
                [
                    'sites' => ['pasture'],
                    'perYear' => '4 kg ae/ha',
                    'perApplication' => '2.2 kg ae/ha',
                    'applications' => 2,
                ],
            ],
            'intervalDays' => 30,
            'rainfastHours' => 6,
            'coldest' => '50 F',
            'hottest' => '85 F',
            'windMost' => '10 mph',
            'reentryHours' => 48,
            'licensedOnly' => false,
            'surfactantInside' => false,
            'tankMixAllowed' => true,
            'grazingDays' => 7,
            'hayDays' => 30,
            'wearing' => 'Waterproof gloves, eye protection, long sleeves and trousers, boots.',
            'firstAid' => 'Eyes: rinse 15 to 20 minutes, then a doctor. Skin: wash with soap and water.',
        ]);
    }

    private function clopyralidCard(): LabelCardVersion
    {
        return $this->card('Clopyralid 360 g/L, water-borne', [
            'product' => 'Clopyralid 360 g/L, water-borne',
            'registration' => 'DEMO-0036',
            'formulation' => 'soluble-liquid',
            'actives' => [['active' => 'clopyralid', 'amount' => '360 g ae/L']],
            'carriers' => ['water'],
            'sites' => ['pasture', 'open-habitat', 'non-crop', 'roadside-trail'],
            'methods' => [['method' => 'foliar-spot', 'min' => '0.05%', 'max' => '0.12%']],
            'waterBuffer' => '50 ft',
            'yearlyMaximum' => '0.56 kg ae/ha',
            'intervalDays' => 60,
            'rainfastHours' => 6,
            'windMost' => '8 mph',
            'reentryHours' => 12,
            'licensedOnly' => false,
            'surfactantInside' => false,
            'tankMixAllowed' => true,
            'soilActive' => true,
            'grazingDays' => 7,
            'hayDays' => 14,
            'wearing' => 'Waterproof gloves, eye protection, long sleeves and trousers.',
            'firstAid' => 'Eyes: rinse 15 to 20 minutes. Skin: wash with soap and water.',
        ]);
    }

    /** @param array<string, mixed> $body */
    private function card(string $product, array $body): LabelCardVersion
    {
        $card = LabelCard::create(['crew_id' => $this->crew->id, 'product' => $product]);

        return LabelCardVersion::create([
            'label_card_id' => $card->id,
            'version' => 1,
            'body' => $body,
            'entered_by' => $this->lead->id,
            'confirmed_by' => $this->lead->id,
            'confirmed_at' => '2025-04-10 09:00:00',
        ]);
    }
}
