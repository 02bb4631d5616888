@if (session('done'))
    <div class="toast" role="status" x-data="toast" x-show="shown">
        <span>{{ session('done') }}</span>
        @if (session('undo'))
            <form method="post" action="{{ route('history.take-back', session('undo')) }}">@csrf<button data-key="u"
                title="Take it back (U)">Take back</button></form>
        @endif
        <button type="button" x-on:click="close" aria-label="Close">×</button>
    </div>
@endif
