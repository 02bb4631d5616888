{{-- Two line-ups beside each other. --}}
@php($other = $compared['lineup'])
@php($keys = array_keys($lineup->filters + $other->filters))
<section class="card">
    <h3>Compared with {{ ctype_digit($compared['page']) ? $tree->find((int) $compared['page'])->path
        : App\Draft\Placement::of($compared['page'], $tree)->name($tree) }}</h3>
    <table class="plain">
        <thead>
            <tr>
                <th scope="col" class="text-left">Filter</th>
                <th scope="col" class="text-left">Here</th>
                <th scope="col" class="text-left">There</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($keys as $key)
                @php([$a, $b] = [$lineup->filters[$key] ?? null, $other->filters[$key] ?? null])
                @php($different = $a && $b ? array_keys(array_filter($a->given, fn($value, $name) => ($b->given[$name]
                    ?? null) !== $value, ARRAY_FILTER_USE_BOTH)) : [])
                <tr>
                    <td class="strong">{{ ($a ?? $b)->settings()->title }}</td>
                    <td>{{ $a ? 'place ' . (array_search($key, array_keys($lineup->filters)) + 1) : '–' }}</td>
                    <td>{{ $b ? 'place ' . (array_search($key, array_keys($other->filters)) + 1) : '–' }}{{ $different
                        ? ', other ' . str_replace('_', ' ', implode(', ', $different)) : '' }}
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
</section>
