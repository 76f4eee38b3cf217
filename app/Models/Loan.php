<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property string $id
 * @property string $tool_id
 * @property string $borrower
 * @property \Illuminate\Support\Carbon $lent_on
 * @property \Illuminate\Support\Carbon|null $due_on
 * @property \Illuminate\Support\Carbon|null $returned_on
 * @property Tool $tool
 */
final class Loan extends Model
{
    use HasUuids;

    protected $fillable = ['id', 'tool_id', 'borrower', 'lent_on', 'due_on', 'returned_on', 'lent_by'];

    /** @var array<string, string> */
    protected $casts = ['lent_on' => 'date', 'due_on' => 'date', 'returned_on' => 'date'];

    /** @return BelongsTo<Tool, $this> */
    public function tool(): BelongsTo
    {
        return $this->belongsTo(Tool::class);
    }
}
