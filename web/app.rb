# frozen_string_literal: true

require "sinatra/base"

module Verglas
  module Web
    # The HTTP interface of web/openapi.yaml, and the front end's page for every address of a place. Routes parse, call
    # and render; every error leaves through the one mapping at the end of this file.
    class App < Sinatra::Base
      set :show_exceptions, false
      set :raise_errors, true # what is not answered here is answered by Faults
      set :dump_errors, false
      set :protection, false # Stack has it
      set :host_authorization, {}
      set :static, false
      set :strict_paths, false

      CONTRACT = Contract.shared

      attr_reader :db

      def initialize(db)
        @db = db
        super(nil)
      end

      helpers Requests
      register Routes::Places,
               Routes::Floor,
               Routes::Clients,
               Routes::Readings,
               Routes::Machines,
               Routes::Photographs,
               Routes::Equipment,
               Routes::Rules,
               Routes::Cues,
               Routes::Cautions,
               Routes::Limits,
               Routes::Sharing,
               Routes::ClientLinks,
               Routes::Joins,
               Routes::Fittings,
               Routes::SetUps,
               Routes::Movements,
               Routes::Practice,
               Routes::Sessions,
               Routes::Circles,
               Routes::Papers,
               Routes::Gym,
               Routes::Staff,
               Routes::Beginnings,
               Routes::Audit,
               Routes::Refits,
               Routes::Board,
               Routes::Erasure,
               Routes::Exchange

      before "/api/*" do
        content_type :json
        refuse(:sign_in_needed) unless staff
        refuse(:tablet_locked) if request.env["rodauth"].tablet_locked?
        raw_body
        CONTRACT.check_request!(request) { |operation| Roles.shared.check!(staff[:role], operation) }
        @input = parsed_body
      end

      not_found { refuse_body(Invalid.new(:not_found)) if request.path_info.start_with?("/api/") }

      error Invalid do |e|
        status Errors.status(e)
        refuse_body(e)
      end

      error Store::Stale do |e|
        halt 404, refuse_body(Invalid.new(:not_found)) unless e.current
        status 409
        refuse_body(
          Invalid.new(%w[accepted stopped discarded taken_back].include?(e.current[:state]) ? :fitting_closed : :stale),
          current: current_state(e.current)
        )
      end

      # A query that is none.
      error(Sinatra::BadRequest) do
        content_type :json
        status 400
        refuse_body(Invalid.new(:not_json))
      end
    end
  end
end
