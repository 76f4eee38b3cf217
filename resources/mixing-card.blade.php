<!doctype html>
<html lang="{{ $words->locale() }}">
<head>
<meta charset="utf-8">
<title>{{ $words->name('paper.mixing-card') }}</title>
<style>
{!! $face !!}
@page {
    size: A5 landscape;
    margin: 9mm 10mm 11mm;
    @bottom-left {
        content: "{{ $words->name('paper.decide') }}";
        font: 7.5pt Hyper;
        color: #44524a;
    }
    @bottom-right { content: counter(page) " / " counter(pages); font: 7.5pt Hyper; color: #44524a; }
}
body { font: 10.5pt/1.35 Hyper, sans-serif; color: #10201a; margin: 0; }
h1 { font-size: 13pt; margin: 0; }
.load { break-after: page; }
.load:last-child { break-after: auto; }
.pour { font-size: 30pt; font-weight: 800; line-height: 1.1; margin: 1mm 0; }
.each { font-size: 19pt; font-weight: 800; line-height: 1.15; }
.two { display: flex; gap: 7mm; }
.grow { flex: 1; }
ol { list-style: none; padding: 0; margin: 0; }
li { border-top: .3mm solid #10201a; padding: 1.3mm 0; font-size: 12pt; }
.box {
    display: inline-block;
    width: 5mm;
    height: 5mm;
    border: .5mm solid #10201a;
    margin-right: 3mm;
    vertical-align: -1mm;
}
.soft { color: #44524a; font-size: 8.5pt; }
.amount { font-weight: 750; }
.warn { border-left: 1.4mm solid #7c1d22; padding: 0 2.5mm; margin: 1.5mm 0; font-size: 9pt; }
</style>
</head>
<body>
@php
    $both = fn ($quantity, $none = '') => \App\Print\Paper::both($quantity, $units, $none);
@endphp
@foreach ($r['loads'] as $i => $load)
@php
    $cups = array_values(array_filter($load['measure'], fn ($m) => $m['system'] === $units));
@endphp
<div class="load">
<div class="two">
<div class="grow">
<h1>{{ $patch }}, {{ $ground }}: {{ $r['method']['name'] }}</h1>
@foreach ($cards as $one)
<div class="soft">
{{ $words->say('paper.card-of', [
    'product' => $one->product,
    'registration' => $one->of->registration,
    'version' => (string) $one->version,
]) }}
</div>
@endforeach
</div>
<div style="text-align:right">
<b>{{ $load['times'] }} × {{ $words->name($load['part'] ? 'paper.part-load' : 'paper.full-load') }}</b><br>
<span class="soft">{{ $words->say('paper.each', ['amount' => $both($load['finished'])]) }}</span>
</div>
</div>
<div class="two">
<div class="grow">
@if (count($load['products']) > 1)
@foreach ($load['products'] as $n => $one)
<div>
<span class="each">{{ $both($one['amount'] ?? null) }}</span> {{ $one['product'] }}
<span class="soft">{{ $both($r['products'][$n]['strength']['percent'] ?? null, $words->name('paper.weight')) }}</span>
</div>
@endforeach
@else
@php
    $cup = $cups[0] ?? null;
@endphp
<div class="pour">{{ $cup['measured'] ?? $both($load['product'] ?? null) }}</div>
<div class="soft">
@if ($cup)
{{ $words->say('paper.in-tool-exactly', ['tool' => $cup['tool'], 'amount' => $both($load['product'] ?? null)]) }}
@endif
{{ $words->say('paper.to-amount', [
    'strength' => $both($r['strength']['percent'] ?? null, $words->name('paper.weight')),
    'amount' => $both($load['finished']),
]) }}
</div>
@endif
<ol>
@foreach ($load['steps'] as $step)
<li>
<span class="box"></span><span class="amount">{{ $both($step['amount'] ?? null, '?') }}</span> {{ $step['name'] }}
<span class="soft">
{{ $words->say('paper.to-mark', ['mark' => \App\Print\Paper::mark($step['mark'], $units)]) }}
</span>
</li>
@endforeach
</ol>
@foreach ($cups as $m)
<div class="soft">
{{ $words->say('paper.measure-card', [
    'product' => count($load['products']) > 1 ? $m['product'] : 'none',
    'tool' => $m['tool'],
    'cups' => (int) $m['fullCups'],
    'last' => $m['lastFill'],
    'error' => (string) $m['errorPercent'],
    'under' => $m['under'] ? 'yes' : 'no',
]) }}
</div>
@endforeach
</div>
<svg width="34mm" height="64mm" viewBox="0 0 110 200" style="flex: none">
<rect x="6" y="26" width="62" height="160" fill="#cfe0e6"/>
<path d="M6 14V186H68V14" fill="none" stroke="#10201a" stroke-width="3"/>
@php
    $marks = [];
@endphp
@foreach ($load['steps'] as $k => $step)
@php
    $marks[(int) round((float) $step['markShare'] * 16)][] = $k + 1;
@endphp
<path d="M6 {{ 186 - (float) $step['markShare'] * 160 }}H74" stroke="#10201a" stroke-width="1.6"/>
@endforeach
@foreach ($marks as $height => $numbers)
<text x="78" y="{{ min(196, 191 - $height * 10) }}" font-family="Hyper" font-size="14" font-weight="700">
{{ implode(' ', $numbers) }}
</text>
@endforeach
</svg>
<div style="flex: none">
@foreach ($cups as $m)
@php
    $half = ['cylinder' => 22, 'syringe' => 14, 'spoons' => 46, 'jug' => 50][$m['kind']] ?? 42;
    $full = (float) $m['lastShare'] * 150;
    [$wide, $tall, $size] = count($cups) > 1 ? [22, 27, 24] : [30, 50, 17];
@endphp
@if (count($cups) > 1)
<div class="soft" style="width: 30mm">{{ $m['product'] }}</div>
@endif
<svg width="{{ $wide }}mm" height="{{ $tall }}mm" viewBox="0 0 180 184">
<rect x="{{ 75 - $half }}" y="{{ 170 - $full }}" width="{{ 2 * $half }}" height="{{ $full }}" fill="#f2d878"/>
<path d="M{{ 75 - $half }} 14V170H{{ 75 + $half }}V14" fill="none" stroke="#10201a" stroke-width="3"/>
<path d="M14 {{ 170 - $full }}H126" stroke="#3b4a8c" stroke-width="3"/>
<text
    x="{{ 75 + $half + 4 }}"
    y="{{ max(22, 164 - $full) }}"
    font-family="Hyper"
    font-size="{{ $size }}"
    font-weight="700"
>{{ $m['lastFill'] }}</text>
</svg>
@endforeach
</div>
</div>
<div class="warn">
{{ $care }} {{ implode(' ', array_unique(array_filter(array_map(fn ($one) => $one->protection->wearing, $cards)))) }}
</div>
@if ($cautions)
<div class="soft">{{ implode(' ', $cautions) }}</div>
@endif
<div class="soft">{{ $keep }}</div>
</div>
@endforeach
</body>
</html>
