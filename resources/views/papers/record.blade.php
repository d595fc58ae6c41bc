<!doctype html>
<html>
<head>
<meta charset="utf-8">
<style>
    body { font-family: DejaVu Sans, sans-serif; font-size: 10pt; color: #222; }
    h1 { font-size: 17pt; margin: 0 0 2pt; } h2 { font-size: 12pt; margin: 14pt 0 4pt; }
    table { width: 100%; border-collapse: collapse; } td, th { text-align: left; padding: 3pt 4pt; border-bottom: 1px solid #bbb; }
    .n { text-align: right; } .f { color: #666; font-size: 8.5pt; }
</style>
</head>
<body>
<h1>{{ $person }}</h1>
<div class="f">Record sheet, {{ $made }}@if ($course !== null), {{ $course }}@endif</div>

<h2>Competencies</h2>
@if ($competencies === [])
    <p>No marked job has shown any yet.</p>
@else
<table>
    <tr><th>Competency</th><th class="n">Jobs</th><th class="n">Shown</th><th class="n">Between</th></tr>
    @foreach ($competencies as $name => $of)
    <tr>
        <td>{{ ucfirst($name) }}</td><td class="n">{{ $of['jobs'] }}</td>
        <td class="n">{{ round(100 * $of['share']) }} %</td>
        <td class="n">{{ round(100 * $of['low']) }} and {{ round(100 * $of['high']) }} %</td>
    </tr>
    @endforeach
</table>
<p class="f">Computed from the lines of every mark and the family of each fault. The interval is Wilson's score interval at 95 % (E. B. Wilson, 1927).</p>
@endif

<h2>Jobs</h2>
@if ($done === [])
    <p>No job is marked yet.</p>
@else
<table>
    <tr><th>Job</th><th>Closed</th><th class="n">Mark</th><th>Result</th></tr>
    @foreach ($done as $job)
    <tr><td>{{ $job['title'] }}</td><td>{{ substr($job['at'], 0, 10) }}</td><td class="n">{{ $job['total'] === null ? '–' : number_format($job['total'], 1) }}</td><td>{{ $job['passed'] ? 'passed' : 'not passed' }}</td></tr>
    @endforeach
</table>
@endif
@if ($next !== null)
<p>Next: {{ $next['competency'] }}. {{ $next['why'] }}</p>
@endif
</body>
</html>
