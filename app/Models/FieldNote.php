<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Thicket\FieldDay\EventKind;
use Thicket\FieldDay\FieldEvent;

/**
 * What was noted on a field day, as a device made it; never changed.
 *
 * @property int $number in the order in which they came
 * @property string $id made by the device
 * @property string $crew_id
 * @property string $sheet_id
 * @property string $sent_by
 * @property string $kind
 * @property string $at
 * @property string $device
 * @property int $seq
 * @property string $by
 * @property array<string, mixed> $body
 * @property \Illuminate\Support\Carbon $received_at
 * @property string|null $record_id the record that it was signed with
 */
final class FieldNote extends Model
{
    public $incrementing = false;
    public $timestamps = false;
    protected $keyType = 'string';

    protected $fillable = [
        'id',
        'crew_id',
        'sheet_id',
        'sent_by',
        'kind',
        'at',
        'device',
        'seq',
        'by',
        'body',
        'received_at',
    ];

    /** @var array<string, string> */
    protected $casts = ['body' => 'array', 'number' => 'integer', 'seq' => 'integer', 'received_at' => 'datetime'];

    public function event(): FieldEvent
    {
        return new FieldEvent(
            $this->id,
            EventKind::from($this->kind),
            new \DateTimeImmutable($this->at, new \DateTimeZone('UTC')),
            $this->device,
            $this->seq,
            $this->by,
            $this->body,
        );
    }
}
