# frozen_string_literal: true

# What Ruby compiles of each file, and where each library lies, is kept below var/: the next start is quicker by a
# third. Where nothing may be written there, what is kept is read and nothing added. Who can write there can run code as
# the server: its owner alone.
require "bootsnap"

var = File.expand_path("../var", __dir__)
Bootsnap.setup(
  cache_dir: File.join(var, "cache"),
  readonly: !File.writable?(var),
  development_mode: false,
  compile_cache_yaml: false
)
