<dialog id="keys" aria-labelledby="keys-title">
    <h2 id="keys-title">Keys</h2>
    <dl class="figures">
        @foreach (['/' => 'Search everything', 'F' => 'Find in this list', '↑ ↓' => 'Move from row to row',
            '→ ←' => 'From a row into its cells, and back',
            'Space' => 'Select the row', 'Enter' => 'Open the row', 'M' => 'Merge the selected values',
            'A' => 'Keep apart, or take all that match', 'G' => 'Gather under an umbrella', 'L' => 'Later',
            'O' => 'Make a spelling a value of its own', 'N' => 'Keep a newcomer as a new value',
            'T' => 'Take the proposals of the selected newcomers', 'F2' => 'Rename in its place, or edit a cell',
            'R' => 'Review look-alikes', 'V' => 'Views of the grid', 'S' => 'Save what is open',
            'U' => 'Take back the last change', 'Ctrl Z' => 'The same, also in the grid',
            'Alt ↑ ↓' => 'Move a row by its handle', 'Alt 1 – 8' => 'Go to a room',
            'P' => 'Look at drift and publish', 'Esc' => 'Leave a field', '?' => 'This list'] as $key => $does)
            <div>
                <dt>{{ $does }}</dt>
                <dd><kbd>{{ $key }}</kbd></dd>
            </div>
        @endforeach
    </dl>
    <form method="dialog"><button class="button small">Close</button></form>
</dialog>
