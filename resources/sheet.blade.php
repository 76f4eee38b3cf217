<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Job sheet {{ $sheet->number }}</title>
<style>
{!! $face !!}
@page {
    size: A4;
    margin: 14mm 14mm 16mm;
    @bottom-left {
        content: "Job sheet {{ $sheet->number }} · the label and local law decide";
        font: 8pt Hyper;
        color: #44524a;
    }
    @bottom-right { content: counter(page) " / " counter(pages); font: 8pt Hyper; color: #44524a; }
}
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
<b>Sheet {{ $sheet->number }}</b><br>{{ $s['day'] }}<br>issued by {{ $s['issuedBy'] }}
</div>
</div>
@foreach ($s['lookAlikes'] as $look)
<div class="warn"><b>Not to be taken for {{ $look['name'] }}.</b> {{ implode(' ', $look['tests']) }}</div>
@endforeach
@foreach ($s['passes'] as $pass)
<div class="warn"><b>Passed by the lead:</b> {{ $pass['text'] }} Reason: {{ $pass['reason'] }}</div>
@endforeach
@if ($s['recipe'])
<h2>Pour</h2>
@php
    $recipe = $s['recipe'];
    $mixed = $recipe['products'] ?? [
        ['product' => 'product', 'amount' => $recipe['product'], 'strength' => $recipe['strength']],
    ];
    $isOne = count($mixed) === 1 && count($recipe['loads']) === 1 && $recipe['loads'][0]['times'] === 1;
    $cups = array_filter($recipe['loads'][0]['measure'] ?? [], fn ($m) => $m['system'] === $units);
    $cup = $isOne ? (array_values($cups)[0] ?? null) : null;
@endphp
@if ($cup)
<div class="figure">{{ $cup['measured'] }} in the {{ $cup['tool'] }}</div>
<div>exactly:</div>
@endif
<div @if (!$cup) class="figure" @endif>
@foreach ($mixed as $one)
{{ $both($one['amount'] ?? null) }} {{ count($mixed) > 1 ? $one['product'] : 'product' }},
@endforeach
then {{ $recipe['carrier']['name'] }} to {{ $both($recipe['need']) }}
</div>
@foreach ([$s['product'], ...($s['partners'] ?? [])] as $n => $one)
<div>
{{ $one['name'] }} ({{ $one['registration'] }}, card version {{ $one['version'] }}),
{{ $one['activeName'] }} [group {{ $one['group'] }}]
@if ($mixed[$n]['strength'] ?? null)
at {{ $both($mixed[$n]['strength']['percent']) }}. {{ $mixed[$n]['strength']['why'][$units] }}
@else
by weight.
@endif
</div>
@endforeach
@php
    $held = $s['strictest'] ?? $s['product'];
    $keepOut = $held['reentryHours'] === null
        ? 'How long to keep out is not on the card: read it off the label'
        : "Keep out for {$held['reentryHours']} h";
    $dry = $held['rainfastHours'] === null
        ? 'Hours without rain are not on the card: read them off the label.'
        : "No rain for {$held['rainfastHours']} h after.";
@endphp
<div class="warn">
{{ $keepOut }}, and until the spray is dry. {{ $dry }}
@if ($held['waterBuffer'])
Stay {{ $both($held['waterBuffer']) }} from water, wells and drains.
@endif
</div>
<table>
<tr><th>Load</th><th>Holds</th><th>In this order</th></tr>
@foreach ($recipe['loads'] as $load)
<tr>
<td>{{ $load['times'] }} × {{ $load['part'] ? 'part' : 'full' }}</td>
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
{{ count($mixed) > 1 ? ($m['product'] ?? '') . ': measure' : 'Measure' }}
one {{ $load['part'] ? 'part-load' : 'full load' }} with the {{ $m['tool'] }}:
{{ $m['fullCups'] > 0 ? $m['fullCups'] . ' full and ' : '' }}{{ $m['lastFill'] }}
({{ $m['errorPercent'] }} % {{ $m['under'] ? 'under' : 'over' }} the recipe, never over the label).
@endif
@endforeach
@endforeach
</div>
@endif
@if ($s['startOnlyIf'])
<h2>Start only if</h2>
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
<div>Put out with: {{ $s['sprayer']['name'] }}</div>
@endif
@if (array_filter($s['duties'] ?? [], static fn (array $d): bool => $d['settled'] !== null))
<h2>Agreed with others</h2>
<ul>
@foreach ($s['duties'] as $d)
@if ($d['settled'])
<li>
{{ $d['name'] }}@if ($d['keeper']) ({{ $d['keeper'] }})@endif: {{ $d['settled']['who'] }},
@if ($d['settled']['number']) no. {{ $d['settled']['number'] }}, @endif
{{ $d['settled']['on'] }}@if ($d['settled']['until']), till {{ $d['settled']['until'] }}@endif.
{{ $d['settled']['text'] }}
</li>
@endif
@endforeach
</ul>
@endif
@if ($s['standing'] ?? null)
<div class="warn"><b>{{ $s['standing']['text'][$units] }}</b></div>
@endif
<h2>Do</h2>
<ol>
@foreach ($s['method']['steps'] as $step)
<li>{{ $step }}</li>
@endforeach
</ol>
<div>Goes wrong when: {{ implode(' ', $s['method']['mistakes']) }}</div>
@php
    $reason = $s['reason'] ?? null;
@endphp
@if ($reason['roles'] ?? [])
<h2>Who does which part</h2>
<table>
@foreach ($reason['roles'] as $role)
<tr><td>{{ $role[$units] }}</td><td style="width:60mm">Names:</td></tr>
@endforeach
</table>
@endif
@if ($reason && ($reason['for'] || $reason['why'] || $reason['snags'] || $reason['evidence']))
<h2>Why so</h2>
@if ($reason['for'])
<div><b>Done for:</b> {{ $reason['for'] }}.</div>
@endif
@if ($reason['why'])
<div><b>Chosen because:</b> {{ $reason['why'] }}</div>
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
<h2>Keep</h2>
<div>
@foreach ($s['keepers'] as $keeper)
@php
    $at = $keeper['distance'] ? ' at ' . $both($keeper['distance']) : '';
    $side = ($keeper['side'] ?? null) ? ' to the ' . $keeper['side'] : '';
@endphp
{{ $keeper['name'] }}{{ $at }}{{ $side }};
@endforeach
</div>
@endif
@php
    $products = array_filter([$s['product'], ...($s['partners'] ?? [])]);
@endphp
<h2>Wear</h2>
<ul class="two">
@foreach ($s['wearing'] as $w)
<li>{{ $w }}</li>
@endforeach
@foreach ($products as $one)
@if ($one['wearing'])
<li>Card: {{ $one['wearing'] }}</li>
@endif
@endforeach
</ul>
<h2>Mind</h2>
<ul class="two">
@foreach ($s['cautions'] as $c)
<li>{{ $c }}</li>
@endforeach
</ul>
<h2>Ready before the start</h2>
<div class="two">
@foreach ($s['kit'] as $k)
<div><span class="box"></span>{{ $k }}</div>
@endforeach
</div>
@if (! empty($s['cleanUp']))
<h2>Cleaning up</h2>
<div class="two">
@foreach ($s['cleanUp'] as $c)
<div><span class="box"></span>{{ $c['name'] }}</div>
@endforeach
</div>
@endif
@if ($s['jurisdiction'] ?? null)
<p><b>Rules here:</b> {{ $s['jurisdiction'] }}</p>
@endif
<h2>Emergency</h2>
<table>
<tr><td>Poison centre</td><td><b>{{ $s['emergency']['poisonCentre'] ?? 'not set: ask before you start' }}</b></td></tr>
<tr><td>Where</td><td>{{ $s['emergency']['place'] }} ({{ $s['emergency']['position'] }})</td></tr>
@foreach ($products as $one)
<tr><td>Product</td><td>{{ $one['name'] }}, {{ $one['registration'] }}</td></tr>
<tr><td>First aid (label)</td><td>{{ $one['firstAid'] ?: 'read it off the label before you start' }}</td></tr>
@endforeach
</table>
<p>Not to be judged before {{ $s['judgeAfter'] }}.</p>
@if ($map)
<div class="map">
<h2>Map: {{ $s['place']['patch'] }}, {{ $s['place']['ground'] }}</h2>
{!! $map !!}
<div>
Drawn from the crew's own outlines as they stood on {{ $s['day'] }}.
A stream, well or path that nobody drew is not on it.
</div>
</div>
@endif
</body>
</html>
