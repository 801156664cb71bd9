# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # The front end's page, for every address that a person can open, reload and share.
      module Places
        PAGE = File.join(Stack::ASSETS, "index.html")
        NONCE = "__CSP_NONCE__"

        def self.registered(app)
          app.get(%r{(?!/api/|/auth/|/assets/|/robots.txt).*}) do
            content_type :html
            halt 503, "The front end is not built: run bin/setup." unless File.exist?(PAGE)
            (settings.page ||= File.read(PAGE)).gsub(NONCE, env[Headers::NONCE])
          end
          app.set :page, nil
        end
      end
    end
  end
end
