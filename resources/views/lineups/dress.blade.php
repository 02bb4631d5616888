{{-- How this filter dresses one of its terms, on the pages at hand alone. --}}
@use('Lokum\Vocabulary\Look')
@php($usual = Look::fromJson($dressed['look']))
@php($look = $settings->looks[$dressed['id']] ?? new Look())
@php($whose = ['page' => $page, 'at' => request('at'), 'filter' => $open->key])
<form method="post" action="{{ route('line-ups.dress', [$open->key, $dressed['id']]) }}" class="grid gap-3" id="filter"
    enctype="multipart/form-data">@csrf @method('put')<input type="hidden" name="page" value="{{ $page }}"><input type="hidden"
        name="at" value="{{ request('at') }}"><input type="hidden" name="token" value="{{ $token }}">
    <p class="flex gap-3 items-center"><x-cube :label="$dressed['label']" :look="$usual" /><span class="soft">in this filter alone.
        What is left empty stays as the value wears it.</span></p>
    <div class="grid gap-3 max-w-[420px]">
        @include('values.look', ['label' => $usual->label ?? $dressed['label']])
    </div>
    <x-error for="looks" />
    @can('edit')
        <div class="flex gap-2"><button class="button main small" data-key="s">Save <kbd>S</kbd></button>
            @unless ($look->isBare())
                <button class="button small" name="undress" value="1" formnovalidate>As the value wears it</button>
            @endunless
            <a class="button small bare" href="{{ route('line-ups', $whose) }}">Back to the filter</a></div>
    @endcan
</form>
