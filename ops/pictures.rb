# frozen_string_literal: true

require "capybara/dsl"
require_relative "browser"

module Verglas
  module Ops
    # The main views of the demo gym, one after another, as PNGs of 1280 x 800.
    class Pictures
      include Capybara::DSL

      NAMES = %w[sign-in floor client tape bench bench-two-seats bench-off bench-short bench-curl bench-lying bench-station bench-untaped
                 bench-caution record rules machines machine machine-taping machine-entering].freeze

      def initialize(folder)
        @folder = folder
        Browser.prepare(Web::Stack.build(DB, limits: false))
        Capybara.current_driver = :verglas
      end

      # only: names to take; all when empty. Views are visited in any case, because each leads to the next.
      def take(only)
        @only = only
        (only - NAMES).each { |name| warn "no such view: #{name}" }
        sign_in
        shot("floor")
        client("Sunniva Quill", "client")
        tape("Zéphyrine Maddox")
        benches
        record("Caspian Thwaite")
        rules
        machines
      ensure
        Capybara.reset_sessions!
      end

      private

      def shot(name)
        return unless name && (@only.empty? || @only.include?(name))

        sleep 0.35 # the figure has come to rest, fonts are in
        page.save_screenshot(File.join(@folder, "#{name}.png")) # rubocop:disable Lint/Debugger -- pictures are what this makes
        puts "#{name}.png"
      end

      def sign_in
        visit "/"
        fill_in "Email", with: Demo::Loader::SIGN_IN[:email]
        fill_in "Password", with: Demo::Loader::SIGN_IN[:password]
        shot("sign-in")
        click_button "Sign in"
        assert_text "The Net Loft"
      end

      def open_client(name)
        visit "/clients"
        click_link(name, match: :first)
        assert_text "Card"
      end

      def client(name, picture)
        open_client(name)
        shot(picture)
      end

      def tape(name)
        open_client(name)
        click_link("Tape", match: :first)
        assert_text "Expected"
        fill_in "Reading in cm", with: "58.4"
        shot("tape")
      end

      def bench(name, machine, picture)
        open_client(name)
        find("[data-machine='#{machine}']").find("a, button").click
        assert_selector "[data-adjuster]"
        shot(picture)
      end

      def benches
        bench("Imre Talbot-Vane", "Leg extension 1", "bench")
        off
        bench("Perpetua Lowe", "Leg extension 2", "bench-two-seats")
        bench("Wendell Achterberg", "Leg extension 1", "bench-short")
        bench("Sunniva Quill", "Leg curl 2", "bench-curl")
        bench("Imre Talbot-Vane", "Lying curl 1", "bench-lying")
        bench("Perpetua Lowe", "Leg station 1: curl", "bench-station")
        untaped("Ione Fairweather", "Leg curl 3")
        bench("Dagny Holm", "Leg extension 1", "bench-caution")
      end

      def untaped(name, machine)
        bench(name, machine, nil)
        click_button "Write down"
        shot("bench-untaped")
      end

      def rules
        visit "/rules"
        assert_text "Roller on the shin, extension"
        shot("rules")
      end

      def machines
        visit "/machines"
        assert_text "Cushions and pads"
        shot("machines")
        click_link(text: /Leg curl 1/)
        assert_text "height, cm"
        shot("machine")
        click_link "Tape again"
        click_button "Back pad to pivot"
        fill_in "Length in cm", with: "62.1"
        assert_selector "[data-person=large]", text: /off|wrong/
        shot("machine-taping")
        visit "/machines/new"
        find("label", text: "Seated leg curl", exact_text: true).click
        click_button "Add the first adjuster"
        fill_in "Marks as printed", with: "1-6, 8-12"
        shot("machine-entering")
      end

      def off
        2.times { find("[aria-label^='Back pad one mark down']").click }
        assert_selector "[data-finding=offset]", text: "off"
        shot("bench-off")
      end

      def record(name)
        open_client(name)
        within(find("section", text: "Accepted fittings", match: :first)) { click_link(match: :first) }
        assert_text "Computed from"
        shot("record")
      end
    end
  end
end
