# Node compiles what is asked most in threads of its own, four on any machine: where there are fewer processors to spare, they
# take turns with the very work that they are to make faster. What NODE_OPTIONS say besides stays, and is heeded before this.
spare_processors() {
  local spare=$(($(nproc 2> /dev/null || echo 2) - 1))
  [ "$spare" -ge 1 ] || spare=1
  [ "$spare" -le 4 ] || spare=4
  echo "$spare"
}

export NODE_OPTIONS="--v8-pool-size=$(spare_processors)${NODE_OPTIONS:+ $NODE_OPTIONS}"
