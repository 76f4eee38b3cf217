<!doctype html>
<html lang="{{ $words->locale() }}">
<head>
<meta charset="utf-8">
<title>{{ $words->name('paper.keep-out') }}</title>
<style>
{!! $face !!}
@page { size: A4 landscape; margin: 10mm; }
body { font: 15pt/1.3 Hyper, sans-serif; color: #10201a; margin: 0; border: 3mm solid #10201a; padding: 8mm 10mm; }
h1 { font-size: 96pt; line-height: 1; margin: 0; font-weight: 800; letter-spacing: -.02em; }
.why { font-size: 22pt; font-weight: 700; margin: 1mm 0 4mm; }
.until { background: #10201a; color: #fff; padding: 4mm 6mm; font-size: 30pt; font-weight: 800; line-height: 1.15; }
.until small { display: block; font-size: 16pt; font-weight: 500; }
.line { border-bottom: .6mm solid currentColor; display: inline-block; min-width: 100mm; }
table { border-collapse: collapse; margin-top: 4mm; width: 100%; }
td { padding: 1mm 5mm 1mm 0; vertical-align: top; border-bottom: .2mm solid #a9b5ad; }
td:first-child { width: 46mm; color: #44524a; }
.soft { font-size: 10.5pt; color: #44524a; margin-top: 3mm; }
</style>
</head>
<body>
<h1>{{ $words->name('paper.keep-out') }}</h1>
<div class="why">{{ $words->name('paper.keep-out-why') }}</div>
@foreach ($others as $other)
<div class="why"><b>{{ $other['keepOut'] }}</b> {{ $other['why'] }}</div>
@endforeach
<div class="until">
@if ($until)
{{ $words->name('paper.until') }} {{ $until }}
@else
{{ $words->name('paper.until') }} <span class="line">&nbsp;</span>
@endif
<small>
@if ($hours === null)
{{ $words->name('paper.sign-label') }}
@elseif ($until)
{{ $words->say('paper.sign-after', ['hours' => (string) $hours]) }}
@else
{{ $words->say('paper.sign-write', ['hours' => (string) $hours]) }}
@endif
</small>
</div>
<table>
<tr>
<td>{{ $words->name('paper.where') }}</td>
<td><b>{{ $s['place']['patch'] }}, {{ $s['place']['ground'] }}</b></td>
</tr>
@foreach ($products as $one)
<tr>
<td>{{ $words->name('paper.Product') }}</td>
<td>{{ $one['name'] }}, {{ $one['registration'] }} ({{ $one['activeName'] }})</td>
</tr>
@endforeach
<tr><td>{{ $words->name('paper.treated') }}</td><td>{{ $words->say('paper.treated-what', [
    'plant' => $s['target']['name'],
    'method' => $s['method']['name'],
    'number' => (string) $sheet->number,
]) }}</td></tr>
<tr><td>{{ $words->name('paper.not-meanwhile') }}</td><td>{{ $words->name('paper.not-what') }}</td></tr>
<tr><td>{{ $words->name('paper.questions') }}</td><td>{{ $crew }} <span class="line">&nbsp;</span></td></tr>
<tr>
<td>{{ $words->name('paper.poison-centre') }}</td>
<td><b>{{ $s['emergency']['poisonCentre'] ?? $words->name('paper.poison-ask') }}</b></td>
</tr>
</table>
<div class="soft">
{{ $words->name('paper.sign-up') }} <span class="line">&nbsp;</span>
</div>
</body>
</html>
