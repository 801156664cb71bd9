# frozen_string_literal: true

require "mail"
require "securerandom"
require "uri"

module Verglas
  module Web
    # Letters by e-mail, where the operator says by which server: SMTP_URL, from whom: MAIL_FROM, and where this one is
    # reached: PUBLIC_URL, for a link in a letter is never made of what a request says its host is. Where there is no
    # such server, MAIL_FOLDER is a folder into which each letter is written instead. docs/operating.md
    class Post
      OPEN_S = 5
      READ_S = 10
      SCHEMES = { "smtp" => 587, "smtps" => 465 }.freeze

      # The stand-in: each letter a file of its own, under a name that tells nobody's.
      class Folder
        attr_accessor :settings

        def initialize(settings)
          @settings = settings
        end

        # Whole or not at all: whoever looks into the folder meanwhile sees no half of one.
        def deliver!(letter)
          name = File.join(settings[:folder], "#{Time.now.strftime("%Y%m%d-%H%M%S")}-#{SecureRandom.hex(4)}")
          File.open("#{name}.part", "wx", 0o600) { |file| file.write(letter.encoded) }
          File.rename("#{name}.part", "#{name}.eml")
        end
      end

      # nil where nothing is sent. Raises ArgumentError for what is no address.
      def self.of(environment = ENV)
        url, folder, from = %w[SMTP_URL MAIL_FOLDER MAIL_FROM].map { |name| environment[name].to_s.strip[/.+/] }
        origin = Site.new(environment).origin
        return if url.nil? && folder.nil?
        raise ArgumentError, "whoever sends letters says from whom (MAIL_FROM) and PUBLIC_URL" unless from && origin

        way = folder && url.nil? ? [Folder, { folder: folder }] : [:smtp, smtp(url)]
        new(way, from: from, origin: origin)
      end

      # TLS is asked of every server but one on this machine.
      def self.smtp(url)
        address = URI.parse(url)
        port = SCHEMES.fetch(address.scheme) { raise ArgumentError, "SMTP_URL begins with smtp:// or smtps://" }
        user, password = [address.user, address.password].map { |part| part && URI::DEFAULT_PARSER.unescape(part) }
        {
          address: address.host,
          port: address.port || port,
          user_name: user,
          password: password,
          authentication: user && :plain,
          tls: address.scheme == "smtps",
          enable_starttls: address.scheme == "smtps" || Site::LOOPBACK.include?(address.host) ? false : :always,
          open_timeout: OPEN_S,
          read_timeout: READ_S
        }
      end
      private_class_method :smtp

      # way: a delivery method of the mail library, and its settings.
      def initialize(way, from:, origin:)
        @way = way
        @from = from
        @origin = origin
      end

      # A link of one use (Store::StaffLinks), to whoever it is for.
      def link(kind, made, gym:, name:, to:)
        address = Views::StaffLink.address(made, at: @origin)
        said = Formats::Letters.link(kind, gym: gym, name: name, address: address, until_at: made[:ends_at])
        deliver(to: to, **said)
      end

      # Whether the server took it. What went wrong stands in the log, without whom it was for.
      def deliver(to:, subject:, text:)
        letter = Mail.new(from: @from, to: to, subject: subject, body: text, charset: "UTF-8")
        letter.delivery_method(*@way)
        letter.deliver!
        true
      rescue Mail::Field::ParseError,
             SystemCallError,
             IOError,
             SocketError,
             Timeout::Error,
             OpenSSL::SSL::SSLError,
             Net::ProtocolError => e
        warn("a letter was not sent: #{e.class}")
        false
      end
    end
  end
end
