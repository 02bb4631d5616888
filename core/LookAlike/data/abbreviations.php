<?php

declare(strict_types=1);

/* Abbreviations of the trade and what they stand for (common practice, no source). Those with two common meanings are left out. */
return [
    'blk' => 'black', 'wht' => 'white', 'grn' => 'green', 'blu' => 'blue', 'yel' => 'yellow', 'ylw' => 'yellow', 'brn' => 'brown', 'gry' => 'gray', 'pnk' => 'pink', 'prpl' => 'purple', 'slvr' => 'silver', 'gld' => 'gold', 'orng' => 'orange', 'nvy' => 'navy', 'turq' => 'turquoise',
    'lt' => 'light', 'lght' => 'light', 'dk' => 'dark', 'drk' => 'dark', 'med' => 'medium', 'mdm' => 'medium', 'brt' => 'bright', 'natl' => 'natural', 'mtl' => 'metal', 'metlc' => 'metallic', 'multicolored' => 'multicolor', 'glossy' => 'gloss', 'semiglossy' => 'semigloss', 'shiney' => 'shiny',
    'sm' => 'small', 'sml' => 'small', 'lg' => 'large', 'lrg' => 'large', 'xsm' => 'xs', 'xlg' => 'xl', 'asst' => 'assorted', 'asstd' => 'assorted', 'assd' => 'assorted', 'assrt' => 'assorted', 'pk' => 'pack', 'pkt' => 'packet', 'pkg' => 'package', 'prs' => 'pairs', 'pc' => 'piece', 'pcs' => 'pieces',
    'alu' => 'aluminum', 'alum' => 'aluminum', 'galv' => 'galvanized', 'pes' => 'polyester', 'acryl' => 'acrylic', 'cttn' => 'cotton', 'lthr' => 'leather', 'plstc' => 'plastic', 'crmc' => 'ceramic',
    'matt' => 'matte', 'w' => 'with', 'wo' => 'without', 'incl' => 'including', 'excl' => 'excluding', 'approx' => 'approximately', 'dia' => 'diameter', 'diam' => 'diameter', 'rnd' => 'round', 'rect' => 'rectangular', 'dbl' => 'double', 'sgl' => 'single',
    'yth' => 'youth', 'wmns' => 'women', 'womens' => 'women', 'mens' => 'men', 'hvy' => 'heavy', 'wt' => 'weight', 'ht' => 'height', 'dept' => 'department', 'std' => 'standard', 'elec' => 'electric', 'batt' => 'battery', 'rechg' => 'rechargeable',
    'veg' => 'vegetable', 'choc' => 'chocolate', 'gf' => 'gluten free', 'xtra' => 'extra', 'nite' => 'night', 'thru' => 'through', 'qty' => 'quantity',
];
