# frozen_string_literal: true

# What bin/serve does once everything is installed: a gym's own Verglas. All that it is told stands in the environment.
require_relative "own_gym"
require_relative "server"
require_relative "settings"

begin
  settings = Verglas::Ops::Settings.new
  ENV["ERASED_FILE"] ||= File.join(settings.folder, "erased")
  scenario = Verglas::Ops::OwnGym.new(settings.folder)
  Verglas::Ops::Server.new(
    scenario: scenario,
    port: settings.port,
    folder: settings.folder,
    bind: settings.bind,
    url: settings.url,
    exact: true
  ).run
rescue Verglas::Ops::Settings::Failure, Verglas::Ops::Cluster::Failure, SystemCallError, SocketError => e
  abort "verglas: #{e.message}"
rescue StandardError => e
  raise unless defined?(Verglas::Store::KeyCheck::Failure) && e.is_a?(Verglas::Store::KeyCheck::Failure)

  abort "verglas: #{e.message}"
end
