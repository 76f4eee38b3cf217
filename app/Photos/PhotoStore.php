<?php

declare(strict_types=1);

namespace App\Photos;

use App\Exceptions\Stopped;
use Intervention\Image\Exceptions\DecoderException;
use Intervention\Image\ImageManager;
use Thicket\Input\Refused;

/**
 * Takes pictures in and hands them out. A picture is turned upright, made small enough and written anew, so that
 * nothing the camera wrote beside it (place, serial number) is kept; the place is read before and only offered to the
 * person. Files lie under the storage folder, never under a web root.
 */
final readonly class PhotoStore
{
    /** Bytes of one upload; nginx and PHP let a little more through, so that the refusal is ours. */
    public const MOST_BYTES = 12_000_000;
    private const MOST_PIXELS = 50_000_000;
    private const LONG_SIDE = 2048;
    private const THUMB_SIDE = 320;
    private const QUALITY = 82;
    /** Kinds by their first bytes, not by the name or what the browser says. */
    private const KINDS = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];
    public const SIZES = ['full', 'thumb'];

    private string $folder;

    public function __construct()
    {
        $this->folder = storage_path('app/photos');
    }

    /**
     * @param string $path the upload as it came
     * @param string $id of the photo to be
     *
     * @return array{file: string, width: int, height: int, bytes: int, sha256: string, taken_at: string|null,
     *     offered: array{latitude: string, longitude: string}|null}
     *
     * @throws Refused when it is no picture that can be kept
     */
    public function take(string $path, string $id): array
    {
        $bytes = (int) filesize($path);
        if ($bytes > self::MOST_BYTES) {
            throw Refused::at('/photo', 'A picture may have at most 12 MB; let the phone make it smaller.');
        }
        $size = @getimagesize($path);
        if ($size === false || !in_array($size[2], self::KINDS, true)) {
            throw Refused::at('/photo', 'Give a JPEG, PNG or WebP picture.');
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw Refused::at('/photo', 'A picture may have at most 50 million pixels.');
        }
        $said = $size[2] === IMAGETYPE_JPEG ? (@exif_read_data($path) ?: []) : [];
        try {
            // made small before it is turned upright: a turn needs as much memory again. What is encoded below holds
            // pixels only
            $image = ImageManager::gd(autoOrientation: false)
                ->read($path)
                ->scaleDown(self::LONG_SIDE, self::LONG_SIDE)
                ->orient();
        } catch (DecoderException) {
            throw Refused::at('/photo', 'This picture is broken; take it again.');
        }
        is_dir($this->folder) || mkdir($this->folder, 0o770, true);
        $full = $image->toJpeg(self::QUALITY);
        $shown = [$image->width(), $image->height()];
        $this->write("{$id}.full.jpg", $full->toString());
        $this->write(
            "{$id}.thumb.jpg",
            $image->scaleDown(self::THUMB_SIDE, self::THUMB_SIDE)->toJpeg(self::QUALITY)->toString(),
        );

        return [
            'file' => $id,
            'width' => $shown[0],
            'height' => $shown[1],
            'bytes' => $full->size(),
            'sha256' => hash('sha256', $full->toString()),
            'taken_at' => self::takenAt($said),
            'offered' => ExifPlace::of($said),
        ];
    }

    public function find(string $file, string $size): ?string
    {
        $path = "{$this->folder}/{$file}.{$size}.jpg";

        return is_file($path) ? $path : null;
    }

    public function path(string $file, string $size): string
    {
        return $this->find($file, $size) ?? throw new Stopped(404, 'The file of this picture is gone.');
    }

    /** A file as it was kept elsewhere: pixels only, made by {@see take()} there. */
    public function put(string $file, string $size, string $bytes): void
    {
        is_dir($this->folder) || mkdir($this->folder, 0o770, true);
        $this->write("{$file}.{$size}.jpg", $bytes);
    }

    public function drop(string $file): void
    {
        foreach (self::SIZES as $size) {
            @unlink("{$this->folder}/{$file}.{$size}.jpg");
        }
    }

    /** Whole or not at all: a broken write never leaves half a picture under its name. */
    private function write(string $name, string $bytes): void
    {
        $temporary = tempnam($this->folder, 'new');
        if (
            $temporary === false ||
            file_put_contents($temporary, $bytes) !== strlen($bytes) ||
            !rename($temporary, "{$this->folder}/{$name}")
        ) {
            throw new \RuntimeException("Cannot write {$name} in {$this->folder}.");
        }
        chmod("{$this->folder}/{$name}", 0o640);
    }

    /** @param array<array-key, mixed> $exif */
    private static function takenAt(array $exif): ?string
    {
        $text = $exif['DateTimeOriginal'] ?? null;
        $taken = is_string($text) ? \DateTimeImmutable::createFromFormat('!Y:m:d H:i:s', $text) : false;

        return $taken === false ? null : $taken->format('Y-m-d H:i:s');
    }
}
