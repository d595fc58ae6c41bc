{!! $who !!},

set your password here; the link works once, for {{ $days }} days:

{!! $link !!}

You sign in as {!! $signsInAs !!}.

If you did not expect this, leave it alone: nothing happens unless the link is opened.
