<!doctype html>
<html lang="{{ $words->locale() }}">
<head>
<meta charset="utf-8">
<title>{{ $words->say('paper.season', ['year' => (string) $year]) }}</title>
<style>
{!! \App\Print\Paper::page($words->say('paper.season-foot', ['crew' => $crew, 'year' => (string) $year])) !!}
{!! $style !!}
</style>
</head>
<body>
<h1>{{ $words->say('paper.cleared', ['year' => (string) $year]) }}</h1>
<p>{{ $words->say('paper.cleared-of', ['crew' => $crew, 'day' => $day]) }}</p>
@forelse ($grounds as $name => $lines)
<h2>{{ $name }}</h2>
@foreach ($lines as $line)
<div class="one">
<h3>{{ $line['title'] }}</h3>
<p>{{ $line['done'] }}</p>
<p>{{ $line['result'] }}</p>
<p><b>{{ $line['next'] }}</b></p>
</div>
@endforeach
@empty
<p>{{ $words->name('paper.none-in-year') }}</p>
@endforelse
<p class="soft">{{ $words->name('paper.dead-leaves') }}</p>
</body>
</html>
