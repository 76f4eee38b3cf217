<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Keep out</title>
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
<h1>KEEP OUT</h1>
<div class="why">Plants were treated with herbicide here. People, pets and stock stay out.</div>
<div class="until">
@if ($until)
until {{ $until }}
@else
until <span class="line">&nbsp;</span>
@endif
<small>
@if ($hours === null)
The label says how long: read it off there. And until all of it is dry.
@elseif ($until)
{{ $hours }} h after the work ended, by the label, and until all of it is dry.
@else
Write it in when the work ends: {{ $hours }} h later, by the label, and not before all of it is dry.
@endif
</small>
</div>
<table>
<tr><td>Where</td><td><b>{{ $s['place']['patch'] }}, {{ $s['place']['ground'] }}</b></td></tr>
@foreach ($products as $one)
<tr><td>Product</td><td>{{ $one['name'] }}, {{ $one['registration'] }} ({{ $one['activeName'] }})</td></tr>
@endforeach
<tr><td>Treated</td><td>{{ $s['target']['name'] }}, {{ $s['method']['name'] }}; sheet {{ $sheet->number }}</td></tr>
<tr><td>Not meanwhile</td><td>Pick, drink, graze, cut hay, burn or carry anything off.</td></tr>
<tr><td>Questions</td><td>{{ $crew }} <span class="line">&nbsp;</span></td></tr>
<tr><td>Poison centre</td><td><b>{{ $s['emergency']['poisonCentre'] ?? 'ask before you start' }}</b></td></tr>
</table>
<div class="soft">
Up before the work begins, on every way in; down only when both times are over. The label and local rules decide what a
sign says and how long it stands. Taken down by <span class="line">&nbsp;</span>
</div>
</body>
</html>
