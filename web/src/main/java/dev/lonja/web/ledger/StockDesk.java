package dev.lonja.web.ledger;

import org.springframework.stereotype.Service;

@Service
class StockDesk {}
