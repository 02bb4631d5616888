@props(['samples'])
{{-- A few products as they are and as they would be. --}}
<table class="samples">
    <caption class="label">For example</caption>
    <tbody>
        @foreach (array_slice($samples, 0, 5) as $sample)
            <tr>
                <th scope="row" class="mono">{{ $sample['item'] }}</th>
                <td class="soft">{{ $sample['before'] === '' ? 'none' : $sample['before'] }}</td>
                <td>{{ $sample['after'] === '' ? 'none' : $sample['after'] }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
