<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Readers\PacksReader;
use App\Http\SecurityLog;
use App\Models\LabelCard;
use App\Resources\ShedResource;
use App\Resources\Shopping;
use App\Support\JobClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** What is to be bought, and in which sizes products are sold. */
final class ShoppingController extends Controller
{
    public function __construct(private readonly PacksReader $reader) {}

    public function show(Request $request, Shopping $shopping): JsonResponse
    {
        $this->done($this->query($request));

        return $this->json($shopping->list($this->user($request)->crew));
    }

    public function csv(Request $request, Shopping $shopping): Response
    {
        SecurityLog::note('exported', $request, ['what' => 'shopping']);

        return new Response($shopping->csv($this->user($request)->crew), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="shopping.csv"',
        ]);
    }

    /** Sizes that a product is sold in, each with its price and the day of the price. */
    public function updatePacks(Request $request, string $cardId, ShedResource $shed, JobClock $clock): JsonResponse
    {
        Gate::authorize('lead');
        $user = $this->user($request);
        $card = LabelCard::query()->where('crew_id', $user->crew_id)->findOrFail($cardId);
        $in = $this->fields($request);
        $packs = $this->reader->read($in, $clock->today($user->crew->timeZone()));
        $this->done($in);
        $crew = $user->crew;
        $this->mustMatch($request, $crew->revision, fn(): array => $shed->shed($crew));
        $card->update(['packs' => $packs]);
        $crew->revision++;
        $crew->save();

        return $this->json($shed->shed($crew), 200, $crew->revision);
    }
}
