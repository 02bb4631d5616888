@use('App\Support\Format')
<dl class="figures">
    <div>
        <dt>Rows in the file</dt>
        <dd>{{ Format::number($figures['rows']) }}</dd>
    </div>
    <div>
        <dt>New products</dt>
        <dd>{{ Format::number($figures['products']['added']) }}</dd>
    </div>
    <div>
        <dt>New variants</dt>
        <dd>{{ Format::number($figures['variants']['added']) }}</dd>
    </div>
    <div>
        <dt>Changed</dt>
        <dd>{{ Format::number($figures['products']['changed'] + $figures['variants']['changed']) }}</dd>
    </div>
    <div>
        <dt>Unchanged</dt>
        <dd>{{ Format::number($figures['products']['unchanged'] + $figures['variants']['unchanged']) }}</dd>
    </div>
    <div>
        <dt>New values</dt>
        <dd>{{ Format::number($figures['values']['added']) }}</dd>
    </div>
    <div>
        <dt>Spellings that resolve by themselves</dt>
        <dd>{{ Format::number($figures['values']['resolved']) }}</dd>
    </div>
    @if ($figures['values']['held'])
        <div>
            <dt>Values held for a decision</dt>
            <dd>{{ Format::number($figures['values']['held']) }}</dd>
        </div>
    @endif
    @if (($figures['gone']['products'] ?? 0) + ($figures['gone']['variants'] ?? 0) > 0)
        <div>
            <dt>Sent no longer: {{ lcfirst($reading->feed->gone->label()) }}</dt>
            <dd>{{ Format::count($figures['gone']['products'], 'product') }},
                {{ Format::count($figures['gone']['variants'], 'variant') }}</dd>
        </div>
    @endif
    @if (($figures['jumps'] ?? 0) > 0)
        <div>
            <dt>Prices that halve or double</dt>
            <dd>{{ Format::number($figures['jumps']) }}</dd>
        </div>
    @endif
    <div>
        <dt>Refused rows</dt>
        <dd @class(['text-(--brick)' => $figures['refused_rows'] > 0])>{{ Format::number($figures['refused_rows']) }}</dd>
    </div>
    @if ($figures['unread_cells'])
        <div>
            <dt>Cells kept as text</dt>
            <dd>{{ Format::number($figures['unread_cells']) }}</dd>
        </div>
    @endif
</dl>
