{!! $who !!},

{!! $what !!} ({{ $at }})

If it was not you, tell whoever looks after people at your school at once.
