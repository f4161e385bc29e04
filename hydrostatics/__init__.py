"""The computation core of Anchorage: columns of liquid, without interface, database or web code."""
