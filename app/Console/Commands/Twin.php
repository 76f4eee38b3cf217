<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\ThicketRefusal;

/**
 * A console twin: one JSON document in (file or standard input), one out; exit 0, 1 refused with pointers, 2 a bug of
 * ours.
 */
abstract class Twin extends Command
{
    private const LARGEST_BYTES = 2_000_000;

    /** @return array<string, mixed> */
    abstract protected function answer(Fields $in): array;

    final public function handle(): int
    {
        try {
            $this->print($this->answer(Fields::of($this->document(), new Faults())));

            return 0;
        } catch (Refused $e) {
            $this->print(['refused' => $e->faults]);

            return 1;
        } catch (ThicketRefusal $e) {
            $this->print(['refused' => [['pointer' => '', 'message' => $e->getMessage()]]]);

            return 1;
        } catch (\Throwable $e) {
            fwrite(
                STDERR,
                'A fault of ours: ' . $e->getMessage() . ' (' . basename($e->getFile()) . ':' . $e->getLine() . ")\n",
            );

            return 2;
        }
    }

    private function document(): mixed
    {
        $name = $this->argument('file');
        $name = is_string($name) ? $name : '-';
        $path = $name === '-' ? 'php://stdin' : $name;
        if ($name !== '-' && !is_file($path)) {
            throw new Refused([
                ['pointer' => '', 'message' => 'There is no such file; give a JSON file or - for standard input.'],
            ]);
        }
        $text = (string) file_get_contents($path, false, null, 0, self::LARGEST_BYTES + 1);
        if (strlen($text) > self::LARGEST_BYTES) {
            throw new Refused([['pointer' => '', 'message' => 'The document is larger than 2 MB.']]);
        }
        try {
            return json_decode($text, true, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw new Refused([['pointer' => '', 'message' => 'This is not JSON: ' . $e->getMessage() . '.']]);
        }
    }

    /** @param array<string, mixed> $answer */
    private function print(array $answer): void
    {
        $this->output->writeln(
            json_encode(
                $answer,
                JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
            ),
            \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW,
        );
    }
}
