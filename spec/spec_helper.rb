# frozen_string_literal: true

# For every spec. Loads the core and its documents only: what needs the database asks for database_helper.
# COVERAGE=1 bin/check says which lines the specs reach.
if ENV["COVERAGE"]
  require "simplecov"
  SimpleCov.start do
    command_name "RSpec #{ENV.fetch("TEST_ENV_NUMBER", nil)}"
    enable_coverage :branch
    add_filter "/spec/"
    add_filter "/vendor/"
    add_group("Core") { |file| file.filename.include?("/core/") }
    add_group("Store") { |file| file.filename.include?("/store/") }
    add_group("Web") { |file| file.filename.include?("/web/") }
  end
end

require_relative "../config/formats"
require_relative "support/worked"
require_relative "support/people"
require_relative "support/groups"

RSpec.configure do |config|
  config.disable_monkey_patching!
  config.expect_with(:rspec) { |expectations| expectations.syntax = :expect }
  config.mock_with(:rspec) { |mocks| mocks.verify_partial_doubles = true }
  config.raise_errors_for_deprecations!
  config.fail_if_no_examples = true
  config.define_derived_metadata(file_path: %r{/spec/system/}) { |metadata| metadata[:system] = true }
  Groups.given(config, People)
  Kernel.srand config.seed
end
