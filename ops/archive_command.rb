# frozen_string_literal: true

# What bin/archive does: a whole gym out of this server, or into one that holds no gym yet. Who did so stands in the
# audit trail as whoever leads the gym.
require "fileutils"
require "io/console"
require "optparse"
require_relative "keys"

module Verglas
  module Ops
    # A gym's archive on the command line, of any size.
    class ArchiveCommand
      def initialize(file, tell: $stdout)
        @file = file
        @tell = tell
      end

      def out(health:)
        gym, lead = found
        gym.trail.add(health ? "export_gym_with_health_notes" : "export_gym", by: lead)
        written { |io| Store::Archive::Outgoing.new(gym, health: health).each { |part| io.write(part) } }
        @tell.puts "#{gym.row[:name]} lies in " \
                     "#{@file}#{", health notes in clear: keep it where nobody else can read it" if health}."
      end

      # password: asked for, of the lead who takes it in.
      def take(email:, password:)
        raise ArgumentError, "there is a gym here already: an archive goes in through its own page" if DB[:gyms].first

        gym, by = founded(email, password)
        row = whole(gym, by)
        gym.trail.add("take_import", by: by, subject: row[:id])
        @tell.puts "\n#{gym.row[:name]} is here: #{row[:counts].to_h["add"]} records. Sign in as #{email}."
      end

      private

      def found
        row = DB[:gyms].order(:created_at).first || raise(ArgumentError, "there is no gym here yet")
        [
          Store::Gym.new(DB, row[:id]),
          DB[:accounts].where(gym_id: row[:id], role: "lead").min(:id) || raise(ArgumentError, "nobody leads this gym")
        ]
      end

      # A file of one's own, whole or not at all.
      def written(&)
        part = "#{@file}.part"
        raise Errno::EEXIST, @file if File.exist?(@file)

        File.open(part, File::WRONLY | File::CREAT | File::TRUNC, 0o600, &)
        File.rename(part, @file)
      ensure
        FileUtils.rm_f(part)
      end

      def founded(email, password)
        gym = Store::Gym.new(DB, DB[:gyms].returning(:id).insert(name: "A gym").first[:id])
        by = DB[:accounts].insert(gym_id: gym.id, email: email, name: email[/[^@]+/], role: "lead")
        DB[:account_password_hashes].insert(id: by, password_hash: Web::SignIn.password_hash(password))
        [gym, by]
      end

      # Nothing is left of one that is refused, nor of the gym that was to hold it. What comes lies in the database
      # before it is read: so not in one transaction.
      def whole(gym, by)
        File.open(@file, "rb") do |io|
          Application::Intake
            .new(gym, by: by)
            .whole(kind: "gym", file: io, leave: false, until_asked: false) { |now| progress(now) }
        end
      rescue StandardError, SignalException
        DB[:imports].where(gym_id: gym.id).delete
        DB[:account_password_hashes].where(id: by).delete
        DB[:accounts].where(gym_id: gym.id).delete
        DB[:gyms].where(id: gym.id).delete
        raise
      end

      def progress(row)
        @tell.print("\r#{row[:rows]} records, #{row[:checked]} of #{row[:pieces]} pieces looked through")
      end
    end
  end
end

if $PROGRAM_NAME == __FILE__
  options = { health: false }
  parser =
    OptionParser.new do |given|
      given.banner =
        "Usage: bin/archive out FILE [--health-notes]\n       bin/archive in FILE --lead EMAIL   (the password is " \
          "asked for)"
      given.on("--health-notes", "what speaks of anybody's health too, in clear") { options[:health] = true }
      given.on("--lead EMAIL", "who takes it in and leads the gym") { |email| options[:email] = email }
    end
  begin
    way, file = parser.parse!
    abort parser.help unless file && (way == "out" || (way == "in" && options[:email]))
    Verglas::Ops::Prepared.with(Verglas::Ops::Keys.new) do
      command = Verglas::Ops::ArchiveCommand.new(file)
      if way == "out"
        command.out(health: options[:health])
      else
        password = $stdin.tty? ? $stdin.getpass("A password for #{options[:email]}: ") : $stdin.gets.to_s.chomp
        least = Verglas::Web::OwnAccount::LEAST_CHARACTERS
        raise ArgumentError, "a password has at least #{least} characters" if password.length < least

        command.take(email: options[:email], password: password)
      end
    end
  rescue OptionParser::ParseError, Verglas::Ops::Cluster::Failure, SystemCallError, ArgumentError => e
    abort "verglas: #{e.message}"
  rescue StandardError => e
    raise unless e.is_a?(Verglas::Invalid)

    abort "\nverglas: #{Verglas::Formats::Words.error(e.code, e.params)}#{" (#{e.path})" unless e.path.empty?}"
  end
end
