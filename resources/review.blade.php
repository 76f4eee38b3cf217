<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>The season {{ $year }}</title>
<style>
{!! $face !!}
@page {
    size: A4;
    margin: 14mm 14mm 16mm;
    @bottom-left { content: "{{ $crew }} · the season {{ $year }}"; font: 8pt Hyper; color: #44524a; }
    @bottom-right { content: counter(page) " / " counter(pages); font: 8pt Hyper; color: #44524a; }
}
{!! $style !!}
</style>
</head>
<body>
<h1>What was cleared in {{ $year }}</h1>
<p>{{ $crew }}, {{ $day }}. What was done, how it went as far as anybody can tell yet, and what comes next.</p>
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
<p>Nothing was signed for in this year.</p>
@endforelse
<p class="soft">Dead leaves say nothing of a root: woody plants are judged a year after the work, not before.</p>
</body>
</html>
