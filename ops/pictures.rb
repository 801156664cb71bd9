# frozen_string_literal: true

require "capybara/dsl"
require_relative "browser"

module Verglas
  module Ops
    # The main views of the demo gym, one after another, as PNGs of 1280 x 800.
    class Pictures
      include Capybara::DSL

      NAMES = %w[floor client tape bench bench-again bench-load bench-watch bench-short bench-lying bench-caution bench-untaped record set-up queue locked
                 rules machines machine machine-taping].freeze

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
        set_up("Sunniva Quill", "Leg curl 1")
        rules
        machines
        locked
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
        find("[data-machine='#{machine}']").find("a, button", text: /Fit|Resume/).click
        assert_selector "[data-adjuster]"
        shot(picture)
      end

      def benches
        bench("Imre Talbot-Vane", "Leg extension 1", "bench")
        whole_fitting("Perpetua Lowe", "Leg curl 1")
        bench("Wendell Achterberg", "Leg extension 1", "bench-short")
        bench("Imre Talbot-Vane", "Lying curl 1", "bench-lying")
        bench("Dagny Holm", "Leg extension 1", "bench-caution")
        untaped("Ione Fairweather", "Leg curl 3")
      end

      # From before anyone sits to watching: the back pad is moved after roller and thigh pad were seen.
      def whole_fitting(name, machine)
        bench(name, machine, nil)
        6.times { click_button(text: /\ANext: /) }
        click_button(text: /steps behind you/)
        at("back pad")
        find("[aria-label^='Back pad one mark']", match: :first).click
        at("@again")
        assert_selector "[data-moved]"
        shot("bench-again")
        at("@working")
        fill_in "Wanted, kg", with: "27.5"
        click_button "Nearest"
        assert_selector "[data-load]", text: "27.5 kg"
        shot("bench-load")
        at("@watch")
        click_button "Half a finger ahead"
        find("label", text: /Roller (climbs|slides)/, match: :first).click
        assert_selector "[data-cause]"
        shot("bench-watch")
      end

      def at(step) = find("[data-step='#{step}'] button").click

      def set_up(name, machine)
        open_client(name)
        find("[data-machine='#{machine}']").click_link(text: /Set up/)
        assert_text "It stands so"
        shot("set-up")
        click_button "It stands so"
        assert_selector "button", text: "Set up"
        click_link "Next client here"
        assert_text "Who comes next"
        shot("queue")
      end

      def locked
        visit "/pin"
        fill_in "Your password", with: Demo::Loader::SIGN_IN[:password]
        fill_in "New PIN", with: "2468"
        click_button "Keep the PIN"
        click_button "Lock"
        assert_text "What was open stays as it was."
        shot("locked")
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
