-- How much the shop's things hold at once: cabinets, kg in a tub, m² in the oven, hoists, tools on the compressor, kg on a hook.
alter table workshop add column capacity jsonb;
