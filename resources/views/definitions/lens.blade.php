<span class="lens">
    @foreach (['definitions' => 'Definitions', 'expected' => 'Expected', 'rules' => 'Fill rules', 'units' => 'Units'] as $to => $name)
        <a href="{{ route($to) }}" @if (request()->routeIs($to)) aria-current="true" @endif>{{ $name }}</a>
    @endforeach
</span>
