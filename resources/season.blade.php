<!doctype html>
<html lang="{{ $words->locale() }}">
<head>
<meta charset="utf-8">
<title>{{ $words->say('paper.records', ['year' => (string) $year]) }}</title>
<style>
{!! \App\Print\Paper::page($words->say('paper.records-foot', ['crew' => $crew, 'year' => (string) $year])) !!}
{!! $style !!}
h2 { break-after: avoid; }
tr { break-inside: avoid; }
.record td:first-child { width: 44mm; color: #44524a; }
.seal { font-size: 7pt; overflow-wrap: anywhere; }
.warn { border-left: 1.4mm solid #7c1d22; padding: 1mm 3mm; margin: 2mm 0; }
</style>
</head>
<body>
<h1>{{ $words->say('paper.records', ['year' => (string) $year]) }}</h1>
<div>{{ $words->say('paper.records-of', ['crew' => $crew, 'n' => count($records), 'day' => $day]) }}</div>
@if ($broken !== [])
<div class="warn"><b>{{ $words->name('paper.changed') }}</b>
{{ $words->say('paper.record-list', ['list' => implode(', ', $broken)]) }}</div>
@endif
@if ($used !== [])
<h2>{{ $words->name('paper.put-out') }}</h2>
<table>
<tr>
@foreach (['Product', 'in-all', 'Records'] as $column)
<th>{{ $words->name("paper.{$column}") }}</th>
@endforeach
</tr>
@foreach ($used as $one)
<tr><td>{{ $one['product'] }}</td><td>{{ $one['amount'] }}</td><td>{{ implode(', ', $one['records']) }}</td></tr>
@endforeach
</table>
@endif
@foreach ($records as $record)
<div class="record">
<h2>{{ $words->say('paper.record-title', [
    'number' => (string) $record['number'],
    'title' => $record['title'],
]) }}</h2>
<table>
@foreach ($record['lines'] as $name => $value)
<tr>
<td>{{ $words->name('paper.line.' . strtr($name, ' ', '-')) }}</td>
<td @if ($name === 'seal') class="seal" @endif>{{ $value }}</td>
</tr>
@endforeach
</table>
</div>
@endforeach
@if ($records === [])
<p>{{ $words->name('paper.none-signed') }}</p>
@endif
<p>{{ $words->name('paper.sealed') }}</p>
</body>
</html>
