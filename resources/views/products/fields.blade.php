{{-- Fields of the product itself, a row each. --}}
<table class="grid-table">
    <thead>
        <tr>
            <th scope="col">Definition</th>
            <th scope="col">Now</th>
            <th scope="col">By hand</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($rows as $definition)
            @php($held = $page->cells[$page->item->id][$definition->id] ?? [])
            <tr data-row>
                <td @class(['strong' => $page->expects($definition)])>{{ $definition->label }}</td>
                <td @class(['missing' => $held === [] && $page->expects($definition)])>
                    @if ($held === [])
                        <span class="soft">{{ $page->expects($definition) ? 'missing' : '' }}</span>
                    @else
                        <x-cells :cells="$held" :definition="$definition" :most="9" />
                    @endif
                </td>
                <td class="w-[38%]">@include('products.field', ['owner' => $page->item])</td>
            </tr>
        @endforeach
    </tbody>
</table>
