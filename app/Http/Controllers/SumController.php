<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Repositories\SituationRepository;
use App\Resources\MixResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Catalogue\Catalogue;
use Thicket\Measure\Quantity;
use Thicket\Mix\Purchase;
use Thicket\Mix\SumReader;
use Thicket\Mix\SumSolver;

/** The bench of sums, and what to buy for an amount. */
final class SumController extends Controller
{
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly SituationRepository $situations,
        private readonly MixResource $resource,
    ) {}

    public function index(Request $request): JsonResponse
    {
        $this->done($this->query($request));

        return $this->json(['sums' => $this->resource->sums()]);
    }

    /** What follows from the figures that are known; contradictions are part of the answer. */
    public function solve(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        [$table, $given] = (new SumReader($this->catalogue))->read($in);
        $this->done($in);
        if ($table === null) {
            throw new \LogicException('refused above');
        }

        return $this->json(
            $this->resource->solved(
                SumSolver::solve($table, $given),
                $this->situations->measuringKit($this->user($request)->crew),
            ),
        );
    }

    public function purchase(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        [$need, $onShelf, $packs] = (new SumReader($this->catalogue))->purchase($in);
        $this->done($in);
        if ($need === null) {
            throw new \LogicException('refused above');
        }

        return $this->json(
            $this->resource->purchase(Purchase::of($need, $onShelf ?? Quantity::zero($need->unit), $packs)),
        );
    }
}
