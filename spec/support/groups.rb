# frozen_string_literal: true

# What `config.include` does, once a group. RSpec's own takes the methods into each example's singleton class too and
# sets constants there; at every new constant Ruby 3.1 looks all of them up anew, and YJIT compiles anew whatever names
# one.
module Groups
  # methods: a module for the example groups that the filter fits.
  def self.given(config, methods, **filter)
    config.extend(Module.new { define_singleton_method(:extended) { |group| group.include(methods) } }, **filter)
  end
end
