<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\SecurityLog;
use App\Repositories\CrewRows;
use App\Resources\AccountResource;
use App\Workflow\AccountDesk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Thicket\Review\Job;

/** Hours and money of the signed records, by patch, method and year. */
final class AccountController extends Controller
{
    public function __construct(private readonly AccountDesk $desk, private readonly AccountResource $resource) {}

    public function show(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $year = $this->year($request);

        return $this->json($this->resource->of($this->jobs($request, $year), $year, $user->crew->currency()));
    }

    /** The same as a table. */
    public function csv(Request $request): Response
    {
        $table = $this->resource->csv($this->jobs($request, $this->year($request)));
        SecurityLog::note('exported', $request, ['what' => 'accounts']);

        return new Response($table, 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="accounts.csv"',
        ]);
    }

    private function year(Request $request): ?int
    {
        $in = $this->query($request);
        $year = $in->has('year') ? $in->int('year', 2000, 2100) : null;
        $in->has('year') || $in->raw('year');
        $this->done($in);

        return $year;
    }

    /** @return list<Job> */
    private function jobs(Request $request, ?int $year): array
    {
        $user = $this->user($request);

        return $this->desk->jobs($user->crew, CrewRows::recordsOf($user, $year));
    }
}
