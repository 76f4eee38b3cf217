<!doctype html>
<html lang="{{ $words->locale() }}">
<head>
<meta charset="utf-8">
<title>{{ $words->say('paper.accounts', ['year' => (string) $year]) }}</title>
<style>
{!! \App\Print\Paper::page($words->say('paper.accounts-foot', ['crew' => $crew, 'year' => (string) $year])) !!}
{!! $style !!}
</style>
</head>
<body>
<h1>{{ $words->say('paper.accounts', ['year' => (string) $year]) }}</h1>
<p>{{ $words->say('paper.accounts-of', ['crew' => $crew, 'day' => $day]) }}</p>
@if ($told['all'] === null)
<p>{{ $words->name('paper.no-record') }}</p>
@else
<p>
<b>{{ $words->say('paper.hours', ['hours' => (string) $told['all']['hours']]) }}</b>,
@if ($told['all']['money'] !== null) <b>{{ $told['all']['money'] }} {{ $told['currency'] }}</b>, @endif
{{ $words->say('paper.plants-treated', ['n' => (string) $told['all']['treated']]) }}
@if ($told['all']['dead'] !== null)
{{ $words->say('paper.found-dead', ['n' => (string) $told['all']['dead']]) }}
@endif
@if ($told['all']['released'] !== null)
, {{ $words->say('paper.released', ['n' => (string) $told['all']['released']]) }}
@endif
</p>
@foreach ($told['by'] as $by)
<h2>{{ $words->name("paper.by-{$by['of']}") }}</h2>
<table>
<tr>
<th></th>
@foreach (['Records', 'Hours', 'Money', 'treated', 'Dead', 'a-hectare', 'a-dead-plant'] as $column)
<th class="n">{{ $words->name("paper.{$column}") }}</th>
@endforeach
</tr>
@foreach ($by['lines'] as $line)
<tr>
<td>{{ $line['heading'] }}</td>
<td class="n">{{ implode(', ', $line['records']) }}</td>
<td class="n">{{ $line['hours'] }}</td>
<td class="n">{{ $line['money'] ?? $words->name('paper.not-known') }}</td>
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
@if ($told['all']['withoutTime'] !== []) 
{{ $words->say('paper.without-time', ['list' => implode(', ', $told['all']['withoutTime'])]) }}
 @endif
@if ($told['all']['withoutMoney'] !== []) 
{{ $words->say('paper.without-money', ['list' => implode(', ', $told['all']['withoutMoney'])]) }}
 @endif
</p>
@endif
@if ($told['all']['amended'] !== [])
<p class="soft">{{ $words->say('paper.put-right', ['list' => implode(', ', $told['all']['amended'])]) }}</p>
@endif
@if ($told['actives'] !== [])
<h2>{{ $words->name('paper.active-out') }}</h2>
<table>
@foreach ($told['actives'] as $one)
<tr><td>{{ $one['active'] }}</td><td class="n">{{ $one['kilograms'] }} kg</td></tr>
@endforeach
</table>
@endif
@endif
</body>
</html>
