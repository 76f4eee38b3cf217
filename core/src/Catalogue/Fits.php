<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** Whom a method or a programme is made for; what is null asks nothing. */
final readonly class Fits
{
    /** @var list<string>|null where it is done */
    public ?array $settings;
    /** @var list<string>|null */
    private ?array $lifeCycles;
    /** @var list<string>|null */
    private ?array $habits;
    /** @var list<string>|null treatment classes */
    private ?array $classes;
    /** before-planting, young or established: of the trees it is done among. */
    public ?string $treeAge;
    /** Only for what suckers and may not be cut first, or only for what does not. */
    public ?bool $suckering;
    /** Only for conifers that stay down once cut, or only for all else. */
    public ?bool $conifer;
    /** Whether it asks if the plant sprouts when it is cut. */
    public bool $asksResprouts;

    public function __construct(Node $data)
    {
        $list = static fn(string $name): ?array => $data->has($name) ? $data->strings($name) : null;
        $flag = static fn(string $name): ?bool => $data->has($name) ? $data->bool($name) : null;
        $this->settings = $list('settings');
        $this->lifeCycles = $list('lifeCycles');
        $this->habits = $list('habits');
        $this->classes = $list('classes');
        $this->treeAge = $data->has('treeAge') ? $data->string('treeAge') : null;
        $this->suckering = $flag('suckering');
        $this->conifer = $flag('conifer');
        $this->asksResprouts = $data->has('resprouts');
    }

    /** Whether it is made for plants of this life, habit and class. */
    public function isForKind(Species $species): bool
    {
        return ($this->lifeCycles === null || in_array($species->lifeCycle(), $this->lifeCycles, true)) &&
            ($this->habits === null || in_array($species->habit(), $this->habits, true)) &&
            ($this->classes === null || in_array($species->treatmentClass(), $this->classes, true));
    }
}
