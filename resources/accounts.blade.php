<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Accounts {{ $year }}</title>
<style>
{!! $face !!}
@page {
    size: A4;
    margin: 14mm 14mm 16mm;
    @bottom-left { content: "{{ $crew }} · accounts {{ $year }}"; font: 8pt Hyper; color: #44524a; }
    @bottom-right { content: counter(page) " / " counter(pages); font: 8pt Hyper; color: #44524a; }
}
{!! $style !!}
</style>
</head>
<body>
<h1>Accounts {{ $year }}</h1>
<p>{{ $crew }}, taken out {{ $day }}, from signed records; money at the prices kept that day.</p>
@if ($told['all'] === null)
<p>No record of this year.</p>
@else
<p>
<b>{{ $told['all']['hours'] }} hours</b>,
@if ($told['all']['money'] !== null) <b>{{ $told['all']['money'] }} {{ $told['currency'] }}</b>, @endif
{{ $told['all']['treated'] }} plants treated
@if ($told['all']['dead'] !== null)
({{ $told['all']['dead'] }} found dead where somebody looked back)
@endif
@if ($told['all']['released'] !== null), {{ $told['all']['released'] }} wanted trees given room @endif
</p>
@foreach ($told['by'] as $by)
<h2>By {{ $by['of'] }}</h2>
<table>
<tr>
<th></th><th class="n">Records</th><th class="n">Hours</th><th class="n">Money</th><th class="n">Treated</th>
<th class="n">Dead</th><th class="n">A hectare</th><th class="n">A dead plant</th>
</tr>
@foreach ($by['lines'] as $line)
<tr>
<td>{{ $line['heading'] }}</td>
<td class="n">{{ implode(', ', $line['records']) }}</td>
<td class="n">{{ $line['hours'] }}</td>
<td class="n">{{ $line['money'] ?? 'not known' }}</td>
<td class="n">{{ $line['treated'] }}</td>
<td class="n">{{ $line['dead'] ?? '–' }}</td>
<td class="n">{{ $line['perHectare'] ?? '–' }}</td>
<td class="n">{{ $line['perDead'] ?? '–' }}</td>
</tr>
@endforeach
</table>
@endforeach
@if ($told['all']['withoutTime'] !== [] || $told['all']['withoutMoney'] !== [])
<p class="soft">
@if ($told['all']['withoutTime'] !== []) Without time: record {{ implode(', ', $told['all']['withoutTime']) }}. @endif
@if ($told['all']['withoutMoney'] !== []) Left out of the money, a price or the time being unknown:
record {{ implode(', ', $told['all']['withoutMoney']) }}. @endif
</p>
@endif
@if ($told['all']['amended'] !== [])
<p class="soft">Put right in words since, and counted as signed:
record {{ implode(', ', $told['all']['amended']) }}.</p>
@endif
@if ($told['actives'] !== [])
<h2>Active put out</h2>
<table>
@foreach ($told['actives'] as $one)
<tr><td>{{ $one['active'] }}</td><td class="n">{{ $one['kilograms'] }} kg</td></tr>
@endforeach
</table>
@endif
@endif
</body>
</html>
