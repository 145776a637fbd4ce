-- Kinds are written as the rules name them.
update change set kind = replace(initcap(kind), '-', '');
