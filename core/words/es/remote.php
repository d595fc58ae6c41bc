<?php

return [
    'remote.customer.not_on_his_meter' => 'Su medidor tiene voltios CA, voltios CC, ohmios y zumbador.',
    'remote.customer.takes_somebody_trained' => 'Eso no se le puede pedir a un cliente: hace falta alguien con formación.',
];
