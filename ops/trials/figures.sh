# Each figure of each shipped model and of its kinds set to 0, -1, 1e9 and 1e-9: refused, or run within bounds.
as_service php "${JIT[@]}" -d memory_limit=6G ops/trials/figures.php "${FIGURES_EVERY:-1}" 9>&- || exit 1
