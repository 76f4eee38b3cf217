<!doctype html>
<html lang="{{ $words->locale() }}">
<head>
<meta charset="utf-8">
<title>{{ $words->say('paper.sheet', ['number' => (string) $sheet->number]) }}</title>
<style>
{!! \App\Print\Paper::page($words->say('paper.sheet-foot', ['number' => (string) $sheet->number])) !!}
body { font: 10pt/1.4 Hyper, sans-serif; color: #10201a; }
h1 { font-size: 20pt; margin: 0; }
h2 { font-size: 11pt; margin: 5mm 0 1mm; border-bottom: .4mm solid #10201a; padding-bottom: .6mm; }
.top { display: flex; justify-content: space-between; }
.figure { font-size: 22pt; font-weight: 700; }
table { border-collapse: collapse; width: 100%; }
td, th { text-align: left; border-bottom: .2mm solid #a9b5ad; padding: 1mm 2mm 1mm 0; vertical-align: top; }
ul, ol { margin: 1mm 0; padding-left: 5mm; }
.warn { border-left: 1.4mm solid #7c1d22; padding: 1mm 3mm; margin: 2mm 0; }
.map { break-before: page; }
.two { columns: 2; column-gap: 8mm; }
.box { display: inline-block; width: 3mm; height: 3mm; border: .3mm solid #10201a; margin-right: 2mm; }
</style>
</head>
<body>
@php
    $both = fn ($quantity) => \App\Print\Paper::both($quantity, $units);
@endphp
<div class="top">
<div>
<h1>{{ $s['method']['name'] }}: {{ $s['target']['name'] }}</h1>
<div><i>{{ $s['target']['scientific'] }}</i> · {{ $s['place']['patch'] }}, {{ $s['place']['ground'] }}</div>
</div>
<div style="text-align:right">
<b>{{ $words->say('paper.sheet-number', ['number' => (string) $sheet->number]) }}</b><br>{{ $s['day'] }}<br>
{{ $words->say('paper.issued-by', ['who' => $s['issuedBy']]) }}
</div>
</div>
@foreach ($s['lookAlikes'] as $look)
<div class="warn"><b>{{ $words->say('paper.not-taken-for', ['plant' => $look['name']]) }}</b>
{{ implode(' ', $look['tests']) }}</div>
@endforeach
@foreach ($s['passes'] as $pass)
<div class="warn"><b>{{ $words->name('paper.passed') }}</b> {{ $pass['text'] }}
{{ $words->say('paper.reason', ['reason' => $pass['reason']]) }}</div>
@endforeach
@if ($s['recipe'])
<h2>{{ $words->name('paper.pour') }}</h2>
@php
    $recipe = $s['recipe'];
    $mixed = $recipe['products'] ?? [
        ['product' => $words->name('paper.product'), 'amount' => $recipe['product'], 'strength' => $recipe['strength']],
    ];
    $isOne = count($mixed) === 1 && count($recipe['loads']) === 1 && $recipe['loads'][0]['times'] === 1;
    $cups = array_filter($recipe['loads'][0]['measure'] ?? [], fn ($m) => $m['system'] === $units);
    $cup = $isOne ? (array_values($cups)[0] ?? null) : null;
@endphp
@if ($cup)
<div class="figure">{{ $words->say('paper.in-tool', ['amount' => $cup['measured'], 'tool' => $cup['tool']]) }}</div>
<div>{{ $words->name('paper.exactly') }}</div>
@endif
<div @if (!$cup) class="figure" @endif>
@foreach ($mixed as $one)
{{ $both($one['amount'] ?? null) }} {{ count($mixed) > 1 ? $one['product'] : $words->name('paper.product') }},
@endforeach
{{ $words->say('paper.then-to', ['carrier' => $recipe['carrier']['name'], 'amount' => $both($recipe['need'])]) }}
</div>
@foreach ([$s['product'], ...($s['partners'] ?? [])] as $n => $one)
<div>
{{ $one['name'] }}
{{ $words->say('paper.card', [
    'registration' => $one['registration'],
    'version' => (string) $one['version'],
    'active' => $one['activeName'],
    'group' => (string) $one['group'],
]) }}
@if ($mixed[$n]['strength'] ?? null)
{{ $words->say('paper.at-strength', [
    'strength' => $both($mixed[$n]['strength']['percent']),
    'why' => $mixed[$n]['strength']['why'][$units],
]) }}
@else
{{ $words->name('paper.by-weight') }}
@endif
</div>
@endforeach
@php
    $held = $s['strictest'] ?? $s['product'];
    $keepOut = $held['reentryHours'] === null
        ? $words->name('paper.keep-out-unknown')
        : $words->say('paper.keep-out-hours', ['hours' => (string) $held['reentryHours']]);
    $dry = $held['rainfastHours'] === null
        ? $words->name('paper.rain-unknown')
        : $words->say('paper.rain-hours', ['hours' => (string) $held['rainfastHours']]);
@endphp
<div class="warn">
{{ $words->say('paper.till-dry', ['keep' => $keepOut, 'dry' => $dry]) }}
@if ($held['waterBuffer'])
{{ $words->say('paper.stay-from-water', ['buffer' => $both($held['waterBuffer'])]) }}
@endif
</div>
<table>
<tr>
@foreach (['load', 'holds', 'order'] as $column)
<th>{{ $words->name("paper.{$column}") }}</th>
@endforeach
</tr>
@foreach ($recipe['loads'] as $load)
<tr>
<td>{{ $load['times'] }} × {{ $words->name($load['part'] ? 'paper.part' : 'paper.full') }}</td>
<td>{{ $both($load['finished']) }}</td>
<td>
@foreach ($load['steps'] as $step)
<span class="box"></span>{{ $step['name'] }} {{ $both($step['amount'] ?? null) }}&emsp;
@endforeach
</td>
</tr>
@endforeach
</table>
<div>
@foreach ($recipe['loads'] as $load)
@foreach ($load['measure'] ?? ($loop->first ? $recipe['measure'] : []) as $m)
@if ($m['system'] === $units)
{{ $words->say('paper.measure-load', [
    'product' => count($mixed) > 1 ? $m['product'] ?? '' : 'none',
    'part' => $load['part'] ? 'yes' : 'no',
    'tool' => $m['tool'],
    'cups' => (int) $m['fullCups'],
    'last' => $m['lastFill'],
    'error' => (string) $m['errorPercent'],
    'under' => $m['under'] ? 'yes' : 'no',
]) }}
@endif
@endforeach
@endforeach
</div>
@endif
@if ($s['startOnlyIf'])
<h2>{{ $words->name('paper.start-only') }}</h2>
<div class="two">
@foreach ($s['startOnlyIf'] as $limit)
<div><span class="box"></span>{{ $limit['text'][$units] }}</div>
@endforeach
</div>
@endif
@if ($s['clock'])
<div class="warn"><b>{{ $s['clock'][$units] }}</b></div>
@endif
@if ($s['sprayer'] ?? null)
<div>{{ $words->say('paper.put-out-with', ['sprayer' => $s['sprayer']['name']]) }}</div>
@endif
@if (array_filter($s['duties'] ?? [], static fn (array $d): bool => $d['settled'] !== null))
<h2>{{ $words->name('paper.agreed') }}</h2>
<ul>
@foreach ($s['duties'] as $d)
@if ($d['settled'])
<li>
{{ $d['name'] }}@if ($d['keeper']) ({{ $d['keeper'] }})@endif: {{ $d['settled']['who'] }},
@if ($d['settled']['number']) {{ $words->say('paper.number', ['number' => $d['settled']['number']]) }}, @endif
{{ $d['settled']['on'] }}{{
    $d['settled']['until'] ? ', ' . $words->say('paper.till', ['day' => $d['settled']['until']]) : ''
}}.
{{ $d['settled']['text'] }}
</li>
@endif
@endforeach
</ul>
@endif
@if ($s['standing'] ?? null)
<div class="warn"><b>{{ $s['standing']['text'][$units] }}</b></div>
@endif
<h2>{{ $words->name('paper.do') }}</h2>
<ol>
@foreach ($s['method']['steps'] as $step)
<li>{{ $step }}</li>
@endforeach
</ol>
<div>{{ $words->say('paper.goes-wrong', ['mistakes' => implode(' ', $s['method']['mistakes'])]) }}</div>
@php
    $reason = $s['reason'] ?? null;
@endphp
@if ($reason['roles'] ?? [])
<h2>{{ $words->name('paper.who-does') }}</h2>
<table>
@foreach ($reason['roles'] as $role)
<tr><td>{{ $role[$units] }}</td><td style="width:60mm">{{ $words->name('paper.names') }}</td></tr>
@endforeach
</table>
@endif
@if ($reason && ($reason['for'] || $reason['why'] || $reason['snags'] || $reason['evidence']))
<h2>{{ $words->name('paper.why') }}</h2>
@if ($reason['for'])
<div><b>{{ $words->name('paper.done-for') }}</b> {{ $reason['for'] }}.</div>
@endif
@if ($reason['why'])
<div><b>{{ $words->name('paper.chosen') }}</b> {{ $reason['why'] }}</div>
@endif
@if ($reason['snags'])
<div class="warn">{{ $reason['snags'] }}</div>
@endif
<ul>
@foreach ($reason['evidence'] as $one)
<li>{{ $one['text'][$units] }} <i>({{ $one['source'] }})</i></li>
@endforeach
</ul>
@endif
@if ($s['keepers'])
<h2>{{ $words->name('paper.keep') }}</h2>
<div>
@foreach ($s['keepers'] as $keeper)
@php
    $at = $keeper['distance'] ? ' ' . $words->say('paper.at', ['distance' => $both($keeper['distance'])]) : '';
    $side = ($keeper['side'] ?? null) ? ' ' . $words->say('paper.to-the', ['side' => $keeper['side']]) : '';
@endphp
{{ $keeper['name'] }}{{ $at }}{{ $side }};
@endforeach
</div>
@endif
@php
    $products = array_filter([$s['product'], ...($s['partners'] ?? [])]);
@endphp
<h2>{{ $words->name('paper.wear') }}</h2>
<ul class="two">
@foreach ($s['wearing'] as $w)
<li>{{ $w }}</li>
@endforeach
@foreach ($products as $one)
@if ($one['wearing'])
<li>{{ $words->say('paper.card-says', ['text' => $one['wearing']]) }}</li>
@endif
@endforeach
</ul>
<h2>{{ $words->name('paper.mind') }}</h2>
<ul class="two">
@foreach ($s['cautions'] as $c)
<li>{{ $c }}</li>
@endforeach
</ul>
<h2>{{ $words->name('paper.ready') }}</h2>
<div class="two">
@foreach ($s['kit'] as $k)
<div><span class="box"></span>{{ $k }}</div>
@endforeach
</div>
@if (! empty($s['cleanUp']))
<h2>{{ $words->name('paper.clean-up') }}</h2>
<div class="two">
@foreach ($s['cleanUp'] as $c)
<div><span class="box"></span>{{ $c['name'] }}</div>
@endforeach
</div>
@endif
@if ($s['jurisdiction'] ?? null)
<p><b>{{ $words->name('paper.rules-here') }}</b> {{ $s['jurisdiction'] }}</p>
@endif
<h2>{{ $words->name('paper.emergency') }}</h2>
<table>
<tr>
<td>{{ $words->name('paper.poison-centre') }}</td>
<td><b>{{ $s['emergency']['poisonCentre'] ?? $words->name('paper.poison-unset') }}</b></td>
</tr>
<tr>
<td>{{ $words->name('paper.where') }}</td>
<td>{{ $s['emergency']['place'] }} ({{ $s['emergency']['position'] }})</td>
</tr>
@foreach ($products as $one)
<tr><td>{{ $words->name('paper.Product') }}</td><td>{{ $one['name'] }}, {{ $one['registration'] }}</td></tr>
<tr>
<td>{{ $words->name('paper.first-aid') }}</td>
<td>{{ $one['firstAid'] ?: $words->name('paper.first-aid-read') }}</td>
</tr>
@endforeach
</table>
<p>{{ $words->say('paper.judge', ['day' => $s['judgeAfter']]) }}</p>
@if ($map)
<div class="map">
<h2>{{ $words->say('paper.map', ['place' => "{$s['place']['patch']}, {$s['place']['ground']}"]) }}</h2>
{!! $map !!}
<div>
{{ $words->say('paper.map-says', ['day' => $s['day']]) }}
</div>
</div>
@endif
</body>
</html>
