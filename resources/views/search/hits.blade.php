{{-- What a search has found; arrows walk it, Enter goes there. --}}
<ul class="hits" aria-label="Found">
    @forelse ($hits as $i => $hit)
        <li><a href="{{ $hit->address }}" data-hit><span class="tag">{{ $hit->kind }}</span> <b class="cut">{{ $hit->label }}</b> <span
            class="soft cut">{{ $hit->about }}</span></a></li>
    @empty
        <li class="soft p-2">{{ $text === ''
            ? 'Products by name or sku, definitions, values and their spellings, categories, filters, rooms.'
            : 'Nothing is called that.' }}</li>
    @endforelse
</ul>
