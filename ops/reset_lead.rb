# frozen_string_literal: true

# What bin/reset-lead does: a link for a new password, for a lead who is locked out. Whoever may run commands on the
# server may do so.
require_relative "keys"
require_relative "settings"

module Verglas
  module Ops
    # Of an open account that leads a gym; answers what is to be told.
    module ResetLead
      def self.call(email, at:)
        row = DB[:accounts].first(email: email.strip.downcase, role: "lead", status_id: Store::Staff::OPEN)
        raise ArgumentError, "nobody leads a gym here under #{email}" unless row

        link = Store::Gym.new(DB, row[:gym_id]).colleagues.reset(row[:id], by: row[:id])
        "For #{row[:name]}, once, within two days: #{at}#{Web::Views::StaffLink::PLACE}##{link[:secret]}"
      end
    end
  end
end

if $PROGRAM_NAME == __FILE__
  begin
    abort "Usage: bin/reset-lead EMAIL" unless ARGV.one?

    settings = Verglas::Ops::Settings.new
    folder = settings.folder
    at = ENV["PUBLIC_URL"].to_s.chomp("/")[/.+/] || "http://127.0.0.1:#{settings.port}"
    Verglas::Ops::Prepared.with(Verglas::Ops::Keys.new(folder: folder), folder: folder) do
      puts Verglas::Ops::ResetLead.call(ARGV.first, at: at)
    end
  rescue Verglas::Ops::Settings::Failure, Verglas::Ops::Cluster::Failure, SystemCallError, ArgumentError => e
    abort "verglas: #{e.message}"
  end
end
