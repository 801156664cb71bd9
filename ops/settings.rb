# frozen_string_literal: true

module Verglas
  module Ops
    # What bin/serve is told, by the environment alone: docs/operating.md has the same table.
    class Settings
      # What is not as it has to be, in one line.
      class Failure < StandardError
      end

      # {name => default}; those that other parts of the program read themselves stand there for the table.
      ALL = {
        "DATA_DIR" => "var/own",
        "DATABASE_URL" => "",
        "DATABASE_POOLED" => "",
        "PORT" => "4567",
        "BIND" => "127.0.0.1",
        "PUBLIC_URL" => "",
        "TRUSTED_PROXIES" => "",
        "SESSION_SECRET" => "",
        "NOTES_KEY_FILE" => "",
        "NOTES_KEY" => "",
        "METRICS_TOKEN" => "",
        "SMTP_URL" => "",
        "MAIL_FOLDER" => "",
        "MAIL_FROM" => "",
        "UPGRADE_WITHOUT_BACKUP" => ""
      }.freeze
      LEAST_SECRET = 64

      def initialize(environment = ENV)
        @given = ALL.to_h { |name, default| [name, environment[name].to_s.strip[/.+/m] || default] }
        check
      end

      def folder = File.expand_path(@given["DATA_DIR"], File.expand_path("..", __dir__))
      def url = @given["DATABASE_URL"][/.+/]
      def port = Integer(@given["PORT"], 10)
      def bind = @given["BIND"]

      private

      def check
        unless @given["PORT"].match?(/\A\d{1,5}\z/) && port.between?(1, 65_535)
          raise Failure, "PORT is a number from 1 to 65535, not #{@given["PORT"].inspect}"
        end
        unless @given["SESSION_SECRET"].empty? || @given["SESSION_SECRET"].length >= LEAST_SECRET
          raise Failure, "SESSION_SECRET has at least #{LEAST_SECRET} characters, or is left out: then one is made"
        end
        return if url.nil? || url.match?(%r{\Apostgres(ql)?://})

        raise Failure, "DATABASE_URL begins with postgres://"
      end
    end
  end
end
