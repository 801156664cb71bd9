# frozen_string_literal: true

require "rack/protection"

module Verglas
  module Web
    # Requests that are refused before anybody asks what they want.
    module Refusals
      # From a page of another site.
      class OtherOrigin < Rack::Protection::HttpOrigin
        def accepts?(env) = super || (!env["HTTP_ORIGIN"].nil? && env["HTTP_ORIGIN"] == env[Site::HERE].origin)

        def default_reaction(_env) = Errors.response(403, Invalid.new(:other_origin))
      end

      # To a host that is not ours; and every request's address and scheme set right on the way.
      class OtherHost
        def initialize(app, site)
          @app = app
          @site = site
        end

        def call(env)
          return Errors.response(403, Invalid.new(:other_host)) unless @site.addressed?(env)

          @site.settle(env)
          readable?(env["PATH_INFO"]) ? @app.call(env) : Errors.response(404, Invalid.new(:not_found))
        end

        private

        # Nothing of ours has an address with anything else in it than text.
        def readable?(path)
          plain = Rack::Utils.unescape_path(path)
          plain.force_encoding(Encoding::UTF_8).valid_encoding? && !plain.match?(/[[:cntrl:]]/)
        rescue ArgumentError
          false
        end
      end
    end
  end
end
