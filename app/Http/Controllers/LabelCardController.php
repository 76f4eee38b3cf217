<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Http\SecurityLog;
use App\Models\LabelCard;
use App\Models\LabelCardVersion;
use App\Resources\ShedResource;
use App\Support\JobClock;
use App\Text\Sentences;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Label\LabelCard as Card;

/** Label cards and their versions. */
final class LabelCardController extends Controller
{
    public function __construct(private readonly Catalogue $catalogue, private readonly ShedResource $resource) {}

    /** A new card, or a new version of one (rulings B8): nothing that was entered is ever changed. */
    public function store(Request $request): JsonResponse
    {
        Gate::authorize('write');
        $in = $this->fields($request);
        $id = $in->uuidOrNull('cardId');
        $body = $in->raw('card');
        if (!is_array($body)) {
            $in->fault('card', 'Give the card as an object.');
        }
        $body = is_array($body) ? array_diff_key($body, ['id' => 1, 'version' => 1, 'confirmed' => 1]) : [];
        $card = Card::read(Fields::of($body, $in->faults, pointer: '/card'), $this->catalogue);
        $this->done($in);
        $card ??= throw new \LogicException('refused above');
        $user = $this->user($request);
        SecurityLog::note('card entered', $request, ['product' => $card->product]);
        DB::transaction(function () use ($id, $body, $card, $user): void {
            $row = LabelCard::query()
                ->where('crew_id', $user->crew_id)
                ->lockForUpdate()
                ->find($id ?? '');
            $row === null && $this->mustBeNew($id, new LabelCard(), 'cardId');
            $row ??= LabelCard::create(
                array_filter(['id' => $id]) + ['crew_id' => $user->crew_id, 'product' => $card->product],
            );
            LabelCardVersion::create([
                'label_card_id' => $row->id,
                'version' => 1 + (int) LabelCardVersion::query()->where('label_card_id', $row->id)->max('version'),
                'body' => $body,
                'entered_by' => $user->id,
            ]);
        });

        return $this->json($this->resource->shed($user->crew), 201);
    }

    /** Cards of common generic products to begin with; those that are there already stay as they are. */
    public function starters(Request $request, Sentences $sentences): JsonResponse
    {
        Gate::authorize('lead');
        $user = $this->user($request);
        $there = LabelCard::query()->where('crew_id', $user->crew_id)->pluck('product')->all();
        foreach ($this->catalogue->cardTemplates() as $template) {
            if (in_array($template->product(), $there, true)) {
                continue;
            }
            $card = LabelCard::create(['crew_id' => $user->crew_id, 'product' => $template->product()]);
            LabelCardVersion::create([
                'label_card_id' => $card->id,
                'version' => 1,
                'body' => $template->body($sentences->name('card.template')),
                'template' => true,
                'entered_by' => $user->id,
            ]);
        }

        return $this->json($this->resource->shed($user->crew), 201);
    }

    /**
     * The newest version of a card as a document that another crew can enter; nobody's confirmation travels with it.
     */
    public function export(Request $request, string $cardId): JsonResponse
    {
        $card = LabelCard::query()
            ->where('crew_id', $this->user($request)->crew_id)
            ->with('versions')
            ->findOrFail($cardId);
        $this->done($this->query($request));
        $version = $card->versions->first() ?? throw new Stopped(409, 'This card has no version yet.');

        SecurityLog::note('exported', $request, ['what' => 'label card']);

        return $this->json(['format' => 'gallant-thicket-label-card', 'formatVersion' => 1, 'card' => $version->body]);
    }

    public function confirm(Request $request, string $versionId, JobClock $clock): JsonResponse
    {
        Gate::authorize('lead');
        $user = $this->user($request);
        $version = LabelCardVersion::query()
            ->whereHas('card', fn($card) => $card->where('crew_id', $user->crew_id))
            ->findOrFail($versionId);
        $in = $this->fields($request);
        $this->done($in);
        $this->passwordAgain($request);
        if ($version->confirmed_at !== null) {
            throw new Stopped(409, 'This version is confirmed already.');
        }
        if ($version->template) {
            throw new Stopped(
                409,
                'This is a template: copy your own label into it, which makes a new version, and confirm that one.',
            );
        }
        SecurityLog::note('card confirmed', $request, ['version' => $version->id]);
        $version->update(['confirmed_by' => $user->id, 'confirmed_at' => $clock->now()]);

        return $this->json($this->resource->shed($user->crew));
    }
}
