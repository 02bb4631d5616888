@include('errors.page', ['status' => 500])
