"""Who a student is: names, record IDs, pass phrases, codes, and class lists as they come in."""
